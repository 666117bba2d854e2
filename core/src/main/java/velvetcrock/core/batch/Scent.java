package velvetcrock.core.batch;

/** How strong the herb's own scent is. */
public enum Scent {
  /** None. */
  NONE,
  /** Faint. */
  FAINT,
  /** Clear. */
  CLEAR,
  /** Strong. */
  STRONG
}
