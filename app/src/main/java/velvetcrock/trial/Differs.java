package velvetcrock.trial;

/** The one thing in which a trial's jars differ. */
public enum Differs {
  /** How long they stand. */
  WEEKS("weeks"),
  /** How finely the herb is cut. */
  CUT("cut"),
  /** How they are warmed. */
  HEAT("heat"),
  /** With how much spirit they are dampened. */
  SPIRIT("spirit");

  private final String words;

  Differs(String words) {
    this.words = words;
  }

  /** What it is called. */
  public String words() {
    return words;
  }
}
