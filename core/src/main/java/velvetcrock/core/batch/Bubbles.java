package velvetcrock.core.batch;

/** Bubbles seen. */
public enum Bubbles {
  /** None. */
  NONE,
  /** A few, as air leaves the herb. */
  FEW,
  /** Steady fizzing. */
  FIZZING
}
