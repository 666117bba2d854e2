package velvetcrock.batch;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.web.Formats;

/**
 * A rest in spirit as a timer.
 *
 * @param lead how long it has rested and how long it may
 * @param when the moments that matter
 * @param percent how far along it is from dampening to the latest end, in hundredths
 * @param ready whether the oil may follow
 * @param even what was last seen of its dampness; empty if nobody has looked
 */
record RestView(String lead, String when, int percent, boolean ready, String even) {
  /** The usual window on the bar, from dampening to the latest end, in hundredths. */
  static final int USUAL_FROM_PERCENT =
      (int) Math.round(100 * SpiritStep.SOONEST_USUAL_HOURS / SpiritStep.LATEST_HOURS);

  static final int USUAL_TO_PERCENT =
      (int) Math.round(100 * SpiritStep.USUAL_HOURS / SpiritStep.LATEST_HOURS);

  static @Nullable RestView of(BatchState state, Formats fmt, Instant now) {
    BatchState.Rest rest = state.rest();
    if (rest == null || state.status() != Status.RESTING) {
      return null;
    }
    double hours = Duration.between(rest.since(), now).toMinutes() / 60.0;
    String left =
        hours < SpiritStep.EARLIEST_HOURS
            ? fmt.hours(SpiritStep.EARLIEST_HOURS - hours) + " until the oil may follow"
            : hours < SpiritStep.SOONEST_USUAL_HOURS
                ? fmt.hours(SpiritStep.SOONEST_USUAL_HOURS - hours) + " to the usual time"
                : hours < SpiritStep.LATEST_HOURS
                    ? "the oil may follow now"
                    : "longer than it should: pour the oil";
    return new RestView(
        "Rested " + fmt.hours(Math.max(0, hours)) + ", " + left,
        "Dampened "
            + fmt.moment(rest.since())
            + "; usual "
            + fmt.moment(at(rest, SpiritStep.SOONEST_USUAL_HOURS))
            + " to "
            + fmt.moment(at(rest, SpiritStep.USUAL_HOURS))
            + ", latest "
            + fmt.moment(at(rest, SpiritStep.LATEST_HOURS))
            + ".",
        (int) Math.round(100 * Math.max(0, Math.min(1, hours / SpiritStep.LATEST_HOURS))),
        hours >= SpiritStep.EARLIEST_HOURS,
        rest.even() == null ? "" : rest.even() ? "Evenly damp." : "Not evenly damp yet.");
  }

  private static Instant at(BatchState.Rest rest, double hours) {
    return rest.since().plus(Duration.ofMinutes(Math.round(hours * 60)));
  }
}
