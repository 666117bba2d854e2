package velvetcrock.core;

/** How much a figure is worth, best first. */
public enum Standing {
  /** Weighed, measured or read by the user. */
  MEASURED,
  /** Arithmetic, a definition or an agreed physical constant. */
  STANDARD,
  /** A typical value from literature or practice. */
  TYPICAL,
  /** A model's answer, good for comparison rather than for its digits. */
  ESTIMATE
}
