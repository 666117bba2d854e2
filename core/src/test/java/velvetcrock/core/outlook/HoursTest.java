package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

class HoursTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 11, 2);
  private static final Hours WORKS =
      new Hours(
          LocalTime.of(7, 0),
          LocalTime.of(23, 0),
          EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY),
          LocalTime.of(8, 30),
          LocalTime.of(17, 0));

  private static LocalDateTime at(int day, int hour, int minute) {
    return MONDAY.plusDays(day).atTime(hour, minute);
  }

  @Test
  void aWorkingDayHasAMorningAndAnEvening() {
    assertThat(WORKS.on(MONDAY))
        .containsExactly(new Span(at(0, 7, 0), at(0, 8, 30)), new Span(at(0, 17, 0), at(0, 23, 0)));
    assertThat(WORKS.on(MONDAY.plusDays(2))).containsExactly(new Span(at(2, 7, 0), at(2, 23, 0)));
  }

  @Test
  void whatTakesLongWaitsForALongStretch() {
    assertThat(WORKS.next(at(0, 8, 15), 10)).contains(at(0, 8, 15));
    assertThat(WORKS.next(at(0, 8, 25), 10)).contains(at(0, 17, 0));
    assertThat(WORKS.next(at(0, 8, 0), 7 * 60)).contains(at(2, 7, 0));
    assertThat(WORKS.next(at(0, 3, 0), 1)).contains(at(0, 7, 0));
    assertThat(WORKS.next(at(0, 3, 0), 17 * 60)).isEmpty();
  }

  @Test
  void whoGoesToBedPastMidnightIsStillUpThen() {
    Hours late =
        new Hours(
            LocalTime.of(10, 0),
            LocalTime.of(1, 30),
            Set.of(),
            LocalTime.of(11, 0),
            LocalTime.of(12, 0));

    assertThat(late.next(at(1, 0, 30), 30)).contains(at(1, 0, 30));
    assertThat(late.nextSpan(at(1, 0, 30), 30)).contains(new Span(at(1, 0, 30), at(1, 1, 30)));
    assertThat(late.next(at(1, 1, 15), 30)).contains(at(1, 10, 0));
    assertThat(late.longestMinutes()).isEqualTo(15 * 60 + 30);
  }

  @Test
  void hoursThatLeaveNoTimeAreRefused() {
    assertThatThrownBy(
            () ->
                new Hours(
                    LocalTime.of(7, 0),
                    LocalTime.of(7, 0),
                    Set.of(),
                    LocalTime.of(8, 0),
                    LocalTime.of(9, 0)))
        .hasMessageContaining("sleeps:");
    assertThatThrownBy(
            () ->
                new Hours(
                    LocalTime.of(7, 0),
                    LocalTime.of(20, 0),
                    EnumSet.allOf(DayOfWeek.class),
                    LocalTime.of(7, 30),
                    LocalTime.of(19, 30)))
        .hasMessageContaining("no full hour");
  }
}
