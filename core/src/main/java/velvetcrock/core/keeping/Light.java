package velvetcrock.core.keeping;

/** The light an infusing jar stands in, with the pace at which it spends keeping (typical). */
public enum Light {
  /** A closed cupboard or crock. */
  DARK(1),
  /** In sight, out of the sun. */
  ROOM(1.3),
  /** A sunny window, in clear glass. */
  WINDOW(2.5);

  private final double factor;

  Light(double factor) {
    this.factor = factor;
  }

  /** How many times as fast as in the dark. */
  public double factor() {
    return factor;
  }
}
