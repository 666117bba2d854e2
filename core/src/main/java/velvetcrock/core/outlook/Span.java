package velvetcrock.core.outlook;

import java.time.Duration;
import java.time.LocalDateTime;

/**
 * A stretch of time by the household's own clock.
 *
 * @param from its begin, in it
 * @param until its end, no longer in it; not before the begin
 */
public record Span(LocalDateTime from, LocalDateTime until) {
  private static final double MINUTES_PER_HOUR = 60;

  /** Checks the order. */
  public Span {
    if (until.isBefore(from)) {
      throw new IllegalArgumentException("It ends at " + until + ", before it begins at " + from);
    }
  }

  /** From a moment on for so many minutes. */
  public static Span of(LocalDateTime from, long minutes) {
    return new Span(from, from.plusMinutes(minutes));
  }

  /** How long it is, min. */
  public long minutes() {
    return Duration.between(from, until).toMinutes();
  }

  /** How long it is, h. */
  public double hours() {
    return minutes() / MINUTES_PER_HOUR;
  }

  /** Whether any moment lies in both. */
  public boolean overlaps(Span other) {
    return from.isBefore(other.until) && other.from.isBefore(until);
  }
}
