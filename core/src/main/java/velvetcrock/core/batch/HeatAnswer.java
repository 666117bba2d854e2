package velvetcrock.core.batch;

/** What can be done about too much heat. */
public enum HeatAnswer {
  /** Turned down. */
  TURNED_DOWN("turned down"),
  /** Lifted off for a while. */
  LIFTED_OFF("lifted off"),
  /** Cool water into the bath. */
  TOPPED_UP_BATH("cooled the bath"),
  /** Switched off. */
  SWITCHED_OFF("switched off"),
  /** Let be. */
  LET_BE("let it be");

  private final String words;

  HeatAnswer(String words) {
    this.words = words;
  }

  /** What was done, in plain words. */
  public String words() {
    return words;
  }
}
