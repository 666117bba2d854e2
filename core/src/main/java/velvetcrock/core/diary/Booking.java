package velvetcrock.core.diary;

import java.time.Duration;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.outlook.Timetable;

/**
 * A job in the diary.
 *
 * @param timetable when its steps are
 * @param heater on which appliance; null where it needs none or there is none for it
 */
public record Booking(Job job, Timetable timetable, @Nullable String heater) {

  /** By how long it is moved from where it would like to be, min. */
  public long shiftMinutes() {
    return Math.abs(Duration.between(job.wished(), timetable.begins()).toMinutes());
  }

  /** By how long it misses its day, min; 0 where it does not. */
  public long lateMinutes() {
    return Math.max(0, Duration.between(job.deadline(), timetable.ready()).toMinutes());
  }
}
