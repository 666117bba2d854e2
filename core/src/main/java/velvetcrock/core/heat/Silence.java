package velvetcrock.core.heat;

import java.time.Duration;

/** When a thermometer that sends by itself is silent: by its own usual interval. */
public final class Silence {
  /** Nothing is called silent before this: a probe may miss a reading or two. */
  public static final Duration SOONEST = Duration.ofSeconds(90);

  /** How many usual intervals without a word are silence. */
  public static final int GAPS = 4;

  /** How much the newest interval says of the usual one. */
  private static final double NEWEST = 0.3;

  private Silence() {}

  /**
   * The usual interval after one more. A pause, as over a night, counts for no more than what is
   * silence; so it is soon forgotten, and an interval that was set anew is learnt all the same.
   *
   * @param usualGapSeconds before it, s
   * @param gapSeconds the newest, s
   */
  public static double usual(double usualGapSeconds, double gapSeconds) {
    double counted = Math.min(gapSeconds, after(usualGapSeconds).toSeconds());
    return usualGapSeconds + NEWEST * (counted - usualGapSeconds);
  }

  /**
   * After how long without a word it is silent.
   *
   * @param usualGapSeconds what usually lies between two readings, s
   */
  public static Duration after(double usualGapSeconds) {
    Duration gaps = Duration.ofMillis(Math.round(usualGapSeconds * GAPS * 1000));
    return gaps.compareTo(SOONEST) > 0 ? gaps : SOONEST;
  }
}
