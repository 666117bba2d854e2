package velvetcrock.core.keeping;

import velvetcrock.core.heat.Aged;

/**
 * What a date rests on and nobody knows exactly; each may be at either of its ends.
 *
 * @param of which of them is moved
 * @param high whether to its high end
 */
record Guess(Figure of, boolean high) {
  /** The guesses. */
  enum Figure {
    /** None: all in their middle. */
    NONE,
    /** The activation energy, 60–80 kJ/mol. */
    ENERGY,
    /** How warm it was while it drew. */
    WARMTH,
    /** What light does while it draws. */
    LIGHT,
    /** What light does through clear glass. */
    GLASS,
    /** What the air in a half-empty bottle does. */
    AIR,
    /** What an antioxidant does. */
    ANTIOXIDANT
  }

  /** All in their middle. */
  static final Guess MIDDLE = new Guess(Figure.NONE, false);

  /** The figure under this guess. */
  double of(Figure what, Factor factor) {
    if (of != what) {
      return factor.usual();
    }
    return high ? factor.high() : factor.low();
  }

  /** Ageing under this guess. */
  double of(Aged aged) {
    if (of != Figure.ENERGY) {
      return aged.usual();
    }
    return high ? aged.steep() : aged.gentle();
  }
}
