package velvetcrock.core.keeping;

/** The light an infusing jar stands in, with the pace at which it spends keeping (our estimate). */
public enum Light {
  /** A closed cupboard or crock. */
  DARK(Factor.ONE),
  /** In sight, out of the sun. */
  ROOM(new Factor(1.3, 1.1, 1.6)),
  /** A sunny window, in clear glass. */
  WINDOW(new Factor(2.5, 1.5, 6));

  private final Factor factor;

  Light(Factor factor) {
    this.factor = factor;
  }

  /** How many times as fast as in the dark. */
  public double factor() {
    return factor.usual();
  }

  double factor(Guess guess) {
    return guess.of(Guess.Figure.LIGHT, factor);
  }
}
