package velvetcrock.core.batch;

/** A smell that should not be there. */
public enum OffSmell {
  /** None. */
  NONE,
  /** Stale paint, old nuts. */
  RANCID,
  /** Mould. */
  MUSTY,
  /** Ferment. */
  SOUR
}
