package velvetcrock.core.extraction;

/** How often the herb is moved in the oil, with its pace against once a day (an estimate). */
public enum Agitation {
  /** Never. */
  NONE(0.7),
  /** About once a week. */
  WEEKLY(0.85),
  /** About once a day. */
  DAILY(1),
  /** Several times a day. */
  SEVERAL(1.25),
  /** Stirred all the time. */
  CONTINUOUS(1.6);

  private static final double WEEKLY_PER_DAY = 1 / 14.0;
  private static final double DAILY_PER_DAY = 0.5;
  private static final double SEVERAL_PER_DAY = 2;
  private static final double CONTINUOUS_PER_DAY = 100;

  private final double pace;

  Agitation(double pace) {
    this.pace = pace;
  }

  /** Its pace against once a day. */
  public double pace() {
    return pace;
  }

  /** What a log shows to have been done: so many times in so many days. */
  public static Agitation of(int times, double days) {
    double perDay = times / Math.max(1, days);
    if (perDay >= CONTINUOUS_PER_DAY) {
      return CONTINUOUS;
    }
    if (perDay >= SEVERAL_PER_DAY) {
      return SEVERAL;
    }
    if (perDay >= DAILY_PER_DAY) {
      return DAILY;
    }
    return perDay >= WEEKLY_PER_DAY ? WEEKLY : NONE;
  }
}
