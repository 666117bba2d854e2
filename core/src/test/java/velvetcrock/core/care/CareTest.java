package velvetcrock.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.care.Rhythm.Run;
import velvetcrock.core.care.Rhythm.Visit;
import velvetcrock.core.materia.Method;

class CareTest {
  private static final LocalDate CHARGED = LocalDate.of(2026, 3, 2);

  @Test
  void aStandingJarIsVisitedDailyForAWeekAndThenLessAndLess() {
    List<Visit> visits = Rhythm.STANDING.visits(35);

    assertThat(visits.stream().map(Visit::day))
        .containsExactly(1, 2, 3, 4, 5, 6, 7, 9, 12, 19, 26, 33);
    assertThat(visits.stream().filter(Visit::look).map(Visit::day))
        .containsExactly(3, 6, 9, 12, 19, 26, 33);
  }

  @Test
  void aBottleIsSmelledFourWeeksBeforeItsDateOrAsOthersTurnedAndNeverBeforeItWasFilled() {
    LocalDate date = CHARGED.plusDays(200);
    assertThat(Care.smelledFrom(date, null, CHARGED)).isEqualTo(date.minusDays(28));
    assertThat(Care.smelledFrom(date, CHARGED.plusDays(90), CHARGED))
        .isEqualTo(CHARGED.plusDays(90));
    LocalDate filledLate = date.minusDays(5);
    assertThat(Care.smelledFrom(date, null, filledLate)).isEqualTo(filledLate);
    assertThat(Care.smelledFrom(date, CHARGED, filledLate)).isEqualTo(filledLate);
  }

  @Test
  void runsTellTheSameVisitsForACalendar() {
    List<Run> runs = Rhythm.STANDING.runs(CHARGED, CHARGED.plusDays(35));

    assertThat(runs)
        .containsExactly(
            new Run(CHARGED.plusDays(1), 1, 7),
            new Run(CHARGED.plusDays(9), 3, 2),
            new Run(CHARGED.plusDays(19), 7, 3));
  }

  @ParameterizedTest
  @EnumSource(Rhythm.class)
  void noDayIsVisitedTwiceAndRunsHoldEveryVisit(Rhythm rhythm) {
    List<Visit> visits = rhythm.visits(90);

    assertThat(visits.stream().map(Visit::day)).doesNotHaveDuplicates().isSorted();
    assertThat(rhythm.runs(CHARGED, CHARGED.plusDays(90)).stream().mapToInt(Run::count).sum())
        .isEqualTo(visits.size());
  }

  @ParameterizedTest
  @EnumSource(Method.class)
  void whatIsOnTheHeatIsLookedAtThereAndNotShaken(Method method) {
    assertThat(Rhythm.of(method).visitsADay() == 0).isEqualTo(method.heated());
    assertThat(Care.minutesBetweenLooks(method)).isPositive();
  }

  @ParameterizedTest
  @EnumSource(Task.Kind.class)
  void everyTaskHasItsMinutesAndWhatHarmsIsNeitherSkippedNorPutOffForLong(Task.Kind kind) {
    LocalDateTime now = CHARGED.atTime(20, 0);
    LocalDateTime latest = Care.putOffUntil(kind, now, LocalTime.of(7, 0));

    assertThat(kind.minutes()).isPositive();
    assertThat(kind.skippable()).isEqualTo(kind.waiting() != Task.Waiting.HARMS);
    if (kind.waiting() == Task.Waiting.HARMS) {
      assertThat(latest).isEqualTo(now.plusHours(1));
      assertThat(Care.waits(kind)).containsExactly(15, 60);
    } else {
      assertThat(latest).isEqualTo(CHARGED.plusDays(1).atTime(7, 0));
      assertThat(Care.waits(kind)).containsExactly(15, 60, 180);
    }
    assertThat(Care.comesAgain(kind, CHARGED)).isAfter(CHARGED);
  }

  /** Ten jars in one cupboard, one begun every third or fourth day, as a household has them. */
  @Test
  void aHouseholdOfTenJarsIsWalkedInFiveMinutes() {
    List<Visit> visits = Rhythm.STANDING.visits(70);
    double minutes = 0;
    int days = 35;
    for (int day = 35; day < 35 + days; day++) {
      int shaken = 0;
      int looked = 0;
      for (int jar = 0; jar < 10; jar++) {
        int age = day - (int) Math.round(jar * 3.5);
        for (Visit visit : visits) {
          shaken += visit.day() == age && !visit.look() ? 1 : 0;
          looked += visit.day() == age && visit.look() ? 1 : 0;
        }
      }
      minutes += shaken > 0 ? Care.visitMinutes(1, shaken) : 0;
      minutes += looked > 0 ? Care.visitMinutes(3, looked) : 0;
      minutes -= shaken > 0 && looked > 0 ? Care.TO_A_PLACE_MINUTES : 0;
    }
    assertThat(minutes / days).isBetween(2.0, 5.0);
  }
}
