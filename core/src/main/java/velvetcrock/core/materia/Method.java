package velvetcrock.core.materia;

/** A way of drawing a herb in oil, with its window of days (practice; the schools differ). */
public enum Method {
  /** Cold maceration: room temperature, in the dark or in sight, 3–8 weeks. */
  COLD(21, 35, 56),
  /** Solar: a sunny window, 1–4 weeks. */
  SOLAR(7, 21, 28);

  private final int earliestDays;
  private final int usualDays;
  private final int latestDays;

  Method(int earliestDays, int usualDays, int latestDays) {
    this.earliestDays = earliestDays;
    this.usualDays = usualDays;
    this.latestDays = latestDays;
  }

  /** Days from charging at which it may be strained. */
  public int earliestDays() {
    return earliestDays;
  }

  /** Days from charging at which it usually is strained. */
  public int usualDays() {
    return usualDays;
  }

  /** Days from charging by which it should be strained. */
  public int latestDays() {
    return latestDays;
  }
}
