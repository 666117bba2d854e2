package velvetcrock.core.caution;

/**
 * What was wrong with an oil and stays with it: handed from the jar to the strained oil, to bottle,
 * product, tin and label.
 */
public enum Hazard {
  /** Water or spirit was not driven off, as far as anybody weighed. */
  WATER(true),
  /** Mould was seen in its jar. */
  MOULD(true),
  /** Its jar smelled musty. */
  MUSTY(true),
  /** Its jar smelled sour. */
  SOUR(true),
  /** Its jar smelled rancid. */
  RANCID(true),
  /** Its jar fizzed. */
  FIZZ(true),
  /** Herb stood above the oil when it was strained. */
  UNCOVERED(false),
  /** Fresh herb for eating: its days in the fridge run. */
  EATEN_FRESH(true);

  private final boolean stops;

  Hazard(boolean stops) {
    this.stops = stops;
  }

  /** Whether going on with it needs a reason of one's own. */
  public boolean stops() {
    return stops;
  }

  /** It, as a fact that the rules know. */
  public String fact() {
    return "hazard:" + Facts.word(this);
  }
}
