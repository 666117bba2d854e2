package velvetcrock.core.diary;

import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.outlook.Timetable;

/**
 * A job at a begin and on an appliance, ready to be weighed many times. One is equal to itself
 * alone, so that a search can keep many at hand cheaply.
 */
final class Placing {
  private final Job job;
  private final Timetable timetable;
  private final @Nullable String heater;
  private final List<Weight.Claim> claims;
  private final long[] hands;
  private final long shiftMinutes;
  private final long lateMinutes;

  Placing(Job job, Timetable timetable, @Nullable String heater, Weight weight) {
    this.job = job;
    this.timetable = timetable;
    this.heater = heater;
    this.claims = weight.claims(job, timetable, heater);
    this.hands = Weight.hands(timetable);
    Booking booking = booking();
    this.shiftMinutes = booking.shiftMinutes();
    this.lateMinutes = booking.lateMinutes();
  }

  Job job() {
    return job;
  }

  Booking booking() {
    return new Booking(job, timetable, heater);
  }

  List<Weight.Claim> claims() {
    return claims;
  }

  /** When it takes hands: begins and ends in turn, min. */
  long[] hands() {
    return hands;
  }

  long shiftMinutes() {
    return shiftMinutes;
  }

  long lateMinutes() {
    return lateMinutes;
  }
}
