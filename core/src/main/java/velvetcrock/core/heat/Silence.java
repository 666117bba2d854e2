package velvetcrock.core.heat;

import java.time.Duration;

/** When a thermometer that sends by itself is silent: by its own usual interval. */
public final class Silence {
  /** Nothing is called silent before this: a probe may miss a reading or two. */
  public static final Duration SOONEST = Duration.ofSeconds(90);

  /** How many usual intervals without a word are silence. */
  public static final int GAPS = 4;

  private Silence() {}

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
