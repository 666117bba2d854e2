package velvetcrock.core.extraction;

/**
 * The same time under each guess of the temperature's part: in the middle, with mobility growing
 * less and more with warmth, and as cold and as hot as it may have been.
 */
record Ensemble(Drawn middle, Drawn slower, Drawn faster, Drawn coldest, Drawn hottest) {
  static final Ensemble NOTHING =
      new Ensemble(Drawn.NOTHING, Drawn.NOTHING, Drawn.NOTHING, Drawn.NOTHING, Drawn.NOTHING);

  /** Growth of mobility over 10 °C at its low end. */
  static final double LEAST_GROWTH = 1;

  /** And at its high end. */
  static final double MOST_GROWTH = 1.3;

  Ensemble plus(Ensemble other) {
    return new Ensemble(
        middle.plus(other.middle),
        slower.plus(other.slower),
        faster.plus(other.faster),
        coldest.plus(other.coldest),
        hottest.plus(other.hottest));
  }

  Ensemble moved(Agitation agitation) {
    return new Ensemble(
        middle.moved(agitation),
        slower.moved(agitation),
        faster.moved(agitation),
        coldest.moved(agitation),
        hottest.moved(agitation));
  }
}
