package velvetcrock.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Period;
import org.jspecify.annotations.Nullable;

/**
 * Something that stands in a calendar.
 *
 * @param uid names it for ever: the same thing keeps it, however it moves
 * @param kind what it is of
 * @param alarm how long before a calendar is to remind, where its kind is called for; null for
 *     never
 */
record Happening(
    String uid, String title, String detail, When when, Calls.Kind kind, @Nullable Period alarm) {

  /** When it is. */
  sealed interface When {
    /** The day it begins on. */
    LocalDate startsOn();
  }

  /** Whole days, both among them. */
  record Days(LocalDate from, LocalDate last) implements When {
    @Override
    public LocalDate startsOn() {
      return from;
    }
  }

  /**
   * A moment by the household's clock.
   *
   * @param repeat how it comes again; null for once
   */
  record Moment(LocalDateTime at, int minutes, @Nullable Repeat repeat) implements When {
    @Override
    public LocalDate startsOn() {
      return at.toLocalDate();
    }
  }

  /** So many times, every so many days. */
  record Repeat(int everyDays, int times) {}
}
