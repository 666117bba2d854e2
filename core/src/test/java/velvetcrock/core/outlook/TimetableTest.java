package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Timetable.Making;

/** A drawing laid into the hours of a house. */
class TimetableTest {
  private static final LocalDateTime MONDAY = LocalDateTime.of(2026, 11, 2, 9, 0);
  private static final Hours WORKS =
      new Hours(
          LocalTime.of(6, 30),
          LocalTime.of(22, 0),
          EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY),
          LocalTime.of(8, 0),
          LocalTime.of(17, 0));

  private static Timetable usual(Method method, Hours hours) {
    return Timetable.from(MONDAY, method, method.usualHours(), Making.NONE, hours).orElseThrow();
  }

  private static List<Step.Kind> kinds(Timetable timetable) {
    return timetable.steps().stream()
        .map(Step::kind)
        .filter(kind -> kind != Step.Kind.CHECK)
        .toList();
  }

  @Test
  void aColdJarIsChargedStrainedAfterItsWeeksAndBottledOnceItHasSettled() {
    Timetable cold = usual(Method.COLD, Hours.USUAL);

    assertThat(kinds(cold)).containsExactly(Step.Kind.CHARGE, Step.Kind.STRAIN, Step.Kind.BOTTLE);
    assertThat(cold.begins()).isEqualTo(MONDAY);
    assertThat(cold.onHeat()).isEmpty();
    LocalDateTime strained = cold.first(Step.Kind.STRAIN).orElseThrow().at();
    assertThat(strained).isEqualTo(MONDAY.plusMinutes(20).plusDays(35));
    assertThat(cold.first(Step.Kind.BOTTLE).orElseThrow().at())
        .isEqualTo(strained.plusMinutes(30).plusHours(12));
    assertThat(cold.inJar()).isEqualTo(new Span(MONDAY, strained.plusMinutes(30)));
    // daily for a week, on the 9th and 12th day, then every week
    assertThat(cold.checks()).isEqualTo(7 + 2 + 3);
  }

  @Test
  void spiritRestsTwelveHoursBeforeItsOil() {
    Timetable spirit = usual(Method.SPIRIT, Hours.USUAL);
    LocalDateTime poured = spirit.first(Step.Kind.POUR).orElseThrow().at();

    assertThat(kinds(spirit)).startsWith(Step.Kind.DAMPEN, Step.Kind.POUR);
    assertThat(Duration.between(MONDAY.plusMinutes(20), poured))
        .isGreaterThanOrEqualTo(Duration.ofHours(12));
    assertThat(spirit.checks()).isGreaterThan(20);
  }

  @Test
  void aSimmeringPotIsLookedAtEveryQuarterOfAnHour() {
    Timetable simmer = usual(Method.SIMMER, Hours.USUAL);

    assertThat(kinds(simmer))
        .containsExactly(
            Step.Kind.CHARGE,
            Step.Kind.PUT_ON,
            Step.Kind.TAKE_OFF,
            Step.Kind.STRAIN,
            Step.Kind.BOTTLE);
    assertThat(simmer.onHeat()).hasSize(1);
    assertThat(simmer.onHeat().get(0).hours()).isEqualTo(1);
    assertThat(simmer.checks()).isEqualTo(3);
  }

  @Test
  void aCrockIsSwitchedOffOvernightAndHasItsHoursAllTheSame() {
    Timetable crock = usual(Method.CROCK, Hours.USUAL);

    assertThat(crock.onHeat()).hasSizeGreaterThan(1);
    assertThat(crock.onHeat().stream().mapToDouble(Span::hours).sum()).isEqualTo(24);
    assertThat(crock.onHeat())
        .allSatisfy(
            go -> {
              assertThat(go.from().toLocalTime()).isAfterOrEqualTo(LocalTime.of(7, 0));
              assertThat(go.until().toLocalTime()).isBeforeOrEqualTo(LocalTime.of(22, 30));
              assertThat(go.from().toLocalDate()).isEqualTo(go.until().toLocalDate());
            });
  }

  @Test
  void sixHoursWarmWaitForTheWeekendOfWhoWorks() {
    Timetable warm = usual(Method.WARM, WORKS);

    assertThat(warm.onHeat()).hasSize(1);
    assertThat(warm.onHeat().get(0).from().getDayOfWeek()).isEqualTo(DayOfWeek.SATURDAY);
  }

  @Test
  void withoutALongEnoughStretchThereIsNoTimetable() {
    Hours twoHours =
        new Hours(
            LocalTime.of(7, 0),
            LocalTime.of(9, 0),
            Set.of(),
            LocalTime.of(10, 0),
            LocalTime.of(11, 0));

    assertThat(Timetable.from(MONDAY, Method.WARM, 6, Making.NONE, twoHours)).isEmpty();
    assertThat(Timetable.from(MONDAY, Method.SIMMER, 1, Making.NONE, twoHours)).isPresent();
    assertThat(Timetable.decided(MONDAY, Method.WARM, 6, Making.NONE, twoHours).onHeat())
        .hasSize(1);
    assertThat(Timetable.unbrokenMinutes(Method.WARM, 6)).isEqualTo(6 * 60 + 4);
    assertThat(Timetable.unbrokenMinutes(Method.CROCK, 24)).isEqualTo(120);
  }

  @ParameterizedTest
  @CsvSource({"TINS, 42, 4", "WHIPPED, 42, 3", "BARS, 42, 2", "PADS, 42, 2", "OIL, 0, 0"})
  void makingTakesItsTime(String what, int minutes, double setsHours) {
    Want want =
        switch (what) {
          case "TINS" -> new Want.Tins(12, 30, Firmness.SALVE);
          case "WHIPPED" -> new Want.Tins(12, 30, Firmness.WHIPPED_BUTTER);
          case "BARS" -> new Want.Bars(12, 40);
          case "PADS" -> new Want.Pads(12, 100, 100, 40, 4);
          default -> new Want.Oil(200);
        };
    assertThat(Making.of(want)).isEqualTo(new Making(minutes, setsHours));
  }

  @Test
  void severalThingsAreMadeOneAfterTheOtherAndSetTogether() {
    Making both =
        Making.of(
            new Want.Several(
                List.of(
                    new Want.Tins(12, 30, Firmness.SALVE),
                    new Want.Bars(6, 40),
                    new Want.Bottles(2, 100))));

    assertThat(both).isEqualTo(new Making(42 + 36, 4));
    Timetable made = Timetable.from(MONDAY, Method.SIMMER, 1, both, Hours.USUAL).orElseThrow();
    Step making = made.first(Step.Kind.MAKE).orElseThrow();
    assertThat(made.ready()).isEqualTo(making.at().plusMinutes(78).plusHours(4));
  }

  @ParameterizedTest
  @EnumSource(Method.class)
  void withoutItsChecksATimetableIsTheSame(Method method) {
    Timetable full = usual(method, WORKS);
    Timetable bare =
        Timetable.withoutChecks(MONDAY, method, method.usualHours(), Making.NONE, WORKS)
            .orElseThrow();

    assertThat(kinds(bare)).isEqualTo(kinds(full));
    assertThat(bare.ready()).isEqualTo(full.ready());
    assertThat(bare.inJar()).isEqualTo(full.inJar());
    assertThat(bare.onHeat()).isEqualTo(full.onHeat());
    assertThat(bare.checks()).isZero();
    assertThat(full.handsOnMinutes()).isGreaterThan(bare.handsOnMinutes());
  }

  @ParameterizedTest
  @InstancioSource(samples = 80)
  void everyStepFallsWithinTheHoursAndLaterBeginsAreNotReadySooner(
      @Given int begin, @Given int which) {
    Method method = Method.values()[Math.floorMod(which, Method.values().length)];
    LocalDateTime at = MONDAY.plusMinutes(Math.floorMod(begin, 14 * 24 * 60));
    Timetable timetable =
        Timetable.from(at, method, method.usualHours(), Making.NONE, WORKS).orElseThrow();
    Timetable later =
        Timetable.from(at.plusHours(5), method, method.usualHours(), Making.NONE, WORKS)
            .orElseThrow();

    assertThat(timetable.steps())
        .allSatisfy(
            step ->
                assertThat(WORKS.next(step.at(), 0))
                    .as("%s at %s", step.kind(), step.at())
                    .contains(step.at()));
    assertThat(later.ready()).isAfterOrEqualTo(timetable.ready());
  }
}
