package velvetcrock.core.materia;

/**
 * A way of drawing a herb in oil, with the oil's usual temperature and its window of time
 * (practice; the schools differ).
 */
public enum Method {
  /** Cold maceration: room temperature, in the dark or in sight, 3–8 weeks. */
  COLD(20, 21 * 24, 35 * 24, 56 * 24),
  /** Solar: a sunny window, 1–4 weeks. */
  SOLAR(25, 7 * 24, 21 * 24, 28 * 24),
  /** Two-stage: a short warm start, then days to weeks in the dark. */
  TWO_STAGE(20, 10 * 24, 21 * 24, 42 * 24),
  /** Through spirit: dampened, rested, then about a week in a warm place. */
  SPIRIT(30, 5 * 24, 8 * 24, 14 * 24),
  /** Warm: held at bath warmth, 4–12 hours. */
  WARM(43, 4, 6, 12),
  /** In a slow cooker on its warm setting, 8–72 hours. */
  CROCK(65, 8, 24, 72),
  /** Simmered in a double boiler, 30 min to 2 hours. */
  SIMMER(80, 0.5, 1, 2),
  /** In a low oven, 1–3 hours. */
  OVEN(95, 1, 1.5, 3);

  private static final double HOURS_PER_DAY = 24;

  private final double celsius;
  private final double earliestHours;
  private final double usualHours;
  private final double latestHours;

  Method(double celsius, double earliestHours, double usualHours, double latestHours) {
    this.celsius = celsius;
    this.earliestHours = earliestHours;
    this.usualHours = usualHours;
    this.latestHours = latestHours;
  }

  /** Usual temperature of the oil, °C; of the long part where there are two. */
  public double celsius() {
    return celsius;
  }

  /** Whether it is held warmer than any room. */
  public boolean heated() {
    return celsius >= 38;
  }

  /** Hours from charging at which it may be strained. */
  public double earliestHours() {
    return earliestHours;
  }

  /** Hours from charging at which it usually is strained. */
  public double usualHours() {
    return usualHours;
  }

  /** Hours from charging by which it should be strained. */
  public double latestHours() {
    return latestHours;
  }

  /** Days from charging at which it may be strained; begun days count. */
  public int earliestDays() {
    return days(earliestHours);
  }

  /** Days from charging at which it usually is strained; begun days count. */
  public int usualDays() {
    return days(usualHours);
  }

  /** Days from charging by which it should be strained; begun days count. */
  public int latestDays() {
    return days(latestHours);
  }

  private static int days(double hours) {
    return (int) Math.ceil(hours / HOURS_PER_DAY);
  }
}
