package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.heat.Assumed.Felt;
import velvetcrock.core.heat.Assumed.HandTest;
import velvetcrock.core.heat.Assumed.Stint;
import velvetcrock.core.heat.Assumed.Turn;
import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.heat.Trace.Point;
import velvetcrock.core.materia.Method;

/** Watching a pot: what is assumed, where it heads, what a knob turned out to mean. */
class WatchedHeatTest {
  private static final long HOUR = 3_600_000L;

  @Test
  void bandsAndCeilingsFollowMethodAndHerb() {
    assertThat(HeatGoal.of(Method.WARM, 100).band()).isEqualTo(new Band(38, 50));
    assertThat(HeatGoal.of(Method.CROCK, 100).band()).isEqualTo(new Band(40, 75));
    assertThat(HeatGoal.of(Method.SIMMER, 100).ceilingC()).isEqualTo(90);
    assertThat(HeatGoal.of(Method.OVEN, 150).ceilingC()).isEqualTo(100);
    assertThat(HeatGoal.of(Method.CROCK, 60).band()).isEqualTo(new Band(40, 60));
    assertThat(HeatGoal.of(Method.SIMMER, 60).band().highC()).isEqualTo(60);
    assertThat(HeatGoal.bears(Method.SIMMER, 60)).isFalse();
    assertThat(HeatGoal.bears(Method.CROCK, 60)).isTrue();
    assertThat(HeatGoal.of(Method.CROCK, 60).usualC()).isEqualTo(60);
    HeatGoal start = HeatGoal.of(Method.TWO_STAGE, 100);
    assertThat(start.band()).isEqualTo(Band.WARM);
    assertThat(start.earliestHours() * 60).isCloseTo(20, within(1e-9));
    assertThat(start.latestHours()).isEqualTo(1);
  }

  @Test
  void aKnobAloneGivesACourseThatSettles() {
    Assumed assumed = Assumed.of(onKnob(68, 1.5, List.of(), 6), List.of());

    List<Point> points = assumed.trace().points();
    assertThat(points.get(0)).isEqualTo(new Point(0, 20));
    assertThat(points.get(points.size() - 1).celsius()).isCloseTo(68, within(0.5));
    assertThat(assumed.withinC()).isEqualTo(8);
    assertThat(assumed.ageingHours().high()).isGreaterThan(2.5 * assumed.ageingHours().low());
  }

  @Test
  void aHandOverrulesTheKnobAndAReadingBoth() {
    Stint felt = onKnob(68, 1.5, List.of(new Felt(3, HandTest.COMFORTABLE)), 6);
    assertThat(at(Assumed.of(felt, List.of()), 3)).isCloseTo(40, within(1e-6));

    Assumed read = Assumed.of(felt, List.of(new Point(4, 46)));
    assertThat(at(read, 4)).isCloseTo(46, within(1e-6));
    assertThat(at(read, 6)).isGreaterThan(44);
    assertThat(read.withinC()).isEqualTo(4);
    assertThat(Assumed.of(felt, List.of(new Point(2, 44), new Point(4, 46))).withinC())
        .isCloseTo(8 / 3.0, within(1e-9));
  }

  @Test
  void switchedOffItCoolsToTheRoom() {
    Stint stint =
        new Stint(0, 18, List.of(new Turn(0, 60, 1)), List.of(), 3, true, Double.MAX_VALUE);
    List<Point> points = Assumed.of(stint, List.of()).trace().points();
    Point last = points.get(points.size() - 1);
    assertThat(last.hours()).isEqualTo(6);
    assertThat(last.celsius()).isCloseTo(18.8, within(0.5));
  }

  @Test
  void aThermometerThatWatchesLeavesNothingToAssume() {
    Series.Builder readings = Series.builder();
    for (int i = 0; i < 40; i++) {
      readings.add(i * HOUR / 12, 43);
    }
    Course watched = new Course(readings.build(), List.of(onKnob(68, 1.5, List.of(), 6)), 0);
    assertThat(watched.assumed()).isEmpty();
    assertThat(watched.tally(Band.WARM, 60).statistics().peakC()).isEqualTo(43);
  }

  @Test
  void oneReadingAmongTheAssumedIsNoGap() {
    Series one = Series.none().with(2 * HOUR, 45);
    Course course = new Course(one, List.of(onKnob(68, 1.5, List.of(), 6)), 0);
    HeatStatistics stats = course.tally(Band.WARM, 60).statistics();
    assertThat(stats.gapMinutes()).isZero();
    assertThat(stats.hours()).isEqualTo(6);
    assertThat(stats.inBandFraction()).isGreaterThan(0.5);
    assertThat(stats.reckoning().lines()).anyMatch(l -> l.name().equals("Assumed"));
  }

  @Test
  void aGapInAWatchedCourseAgesAlongTheLineAndHasTheWidthOfBothItsEnds() {
    Series.Builder readings = Series.builder();
    for (int i = 0; i <= 12; i++) {
      readings.add(i * HOUR / 12, 40);
    }
    readings.add(3 * HOUR, 60);
    Course course = new Course(readings.build(), List.of(), 0);
    HeatTally tally = course.tally(Band.WARM, 90);
    Warmth warmth = course.warmth(0, 9);
    assertThat(Ageing.hours(warmth.usual())).isCloseTo(tally.ageingHours(), within(1e-6));
    assertThat(Ageing.of(warmth.coldest()).range().low())
        .isCloseTo(tally.ageingRange().low(), within(1e-3));
    assertThat(Ageing.of(warmth.hottest()).range().high())
        .isCloseTo(tally.ageingRange().high(), within(1e-3));
    double known = Ageing.hours(Trace.steady(40, 1));
    assertThat(tally.ageingRange().high())
        .isCloseTo(Ageing.of(Trace.steady(60, 2)).steep() + known, withinPercentage(5));
    assertThat(course.tally(Band.WARM, 90).statistics().gapMinutes()).isCloseTo(120, within(1e-9));
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void aTallyKeptReadingByReadingIsTheWholeTraces(@Given int seed) {
    Random random = new Random(seed);
    List<Point> points = new ArrayList<>();
    double hours = 0;
    for (int i = 0; i < 60; i++) {
      hours += 0.01 + random.nextDouble() * 0.6;
      points.add(new Point(hours, 30 + 50 * random.nextDouble()));
    }
    HeatTally tally = new HeatTally(Band.WARM, 60);
    points.forEach(p -> tally.read(p.hours(), p.celsius()));
    HeatStatistics whole = HeatStatistics.of(new Trace(points), Band.WARM, 60);
    assertThat(tally.statistics().excursions()).isEqualTo(whole.excursions());
    assertThat(tally.ageingHours()).isEqualTo(whole.ageingHours());
    assertThat(tally.statistics()).isEqualTo(tally.statistics());
  }

  @ParameterizedTest
  @CsvSource({"46, 38", "70, 58", "30, 38"})
  void aForecastFollowsNewtonsCurve(double settles, double from) {
    double k = 0.03;
    List<Point> points = new ArrayList<>();
    for (int second = 0; second <= 720; second += 20) {
      double minutes = second / 60.0;
      points.add(new Point(minutes / 60, settles + (from - settles) * Math.exp(-k * minutes)));
    }
    Forecast forecast = Forecast.of(points).orElseThrow();
    assertThat(forecast.settlesC().orElseThrow()).isCloseTo(settles, within(1.0));
    double now = points.get(points.size() - 1).celsius();
    double level = (now + settles) / 2;
    assertThat(forecast.minutesTo(level).orElseThrow()).isCloseTo(Math.log(2) / k, within(3.0));
    assertThat(forecast.minutesTo(settles + Math.signum(settles - from) * 3)).isEmpty();
  }

  @Test
  void aSteadyPotLeavesNoBandAndAStraightOneDoes() {
    assertThat(forecast(0).heading()).isEqualTo(Forecast.Heading.STEADY);
    assertThat(forecast(0).minutesToLeave(Band.WARM)).isEmpty();
    assertThat(forecast(0.5).heading()).isEqualTo(Forecast.Heading.RISING);
    assertThat(forecast(0.5).minutesToLeave(Band.WARM).orElseThrow())
        .isCloseTo(4 / 0.5, within(0.1));
    assertThat(forecast(-0.5).minutesToLeave(Band.WARM).orElseThrow())
        .isCloseTo(8 / 0.5, within(0.1));
    assertThat(forecast(0.5).minutesToEnter(new Band(50, 75)).orElseThrow())
        .isCloseTo(8, within(0.1));
    assertThat(forecast(-0.5).minutesToEnter(new Band(50, 75))).isEmpty();
    assertThat(Forecast.of(List.of(new Point(0, 40)))).isEmpty();
    assertThat(Forecast.of(List.of())).isEmpty();
  }

  /** A wobbling pot passes its level between two times, and never past 100 °C in water. */
  @ParameterizedTest
  @InstancioSource(samples = 200)
  void aForecastSaysHowWideItIs(@Given int seed) {
    Random random = new Random(seed);
    List<Point> points = new ArrayList<>();
    double pace = 0.2 + random.nextDouble() * 2;
    for (int second = 0; second <= 720; second += 20) {
      double minutes = second / 60.0;
      points.add(new Point(minutes / 60, 60 + pace * (minutes - 12) + random.nextGaussian() * 0.2));
    }
    Forecast forecast = Forecast.of(points).orElseThrow();
    forecast
        .minutesTo(70)
        .ifPresent(
            usual -> {
              Range within = forecast.minutesToWithin(70).orElseThrow();
              assertThat(within.low()).isLessThanOrEqualTo(usual);
              assertThat(within.high()).isGreaterThanOrEqualTo(usual).isLessThanOrEqualTo(180);
            });
    assertThat(forecast.inWater().minutesTo(101)).isEmpty();
    assertThat(forecast.inWater().minutesToWithin(101)).isEmpty();
    assertThat(forecast.inWater().settlesC().orElse(0)).isLessThanOrEqualTo(100);
  }

  /** A pot at 46 °C now that has gone so many degrees a minute. */
  private static Forecast forecast(double perMinute) {
    List<Point> points = new ArrayList<>();
    for (int minute = -12; minute <= 0; minute++) {
      points.add(new Point(minute / 60.0 + 1, 46 + perMinute * minute));
    }
    return Forecast.of(points).orElseThrow();
  }

  @Test
  void whatWarmTurnedOutToBeIsLearnedFromItsTrace() {
    ThermalPot pot = new ThermalPot(Appliance.SLOW_COOKER, 20);
    pot.turn(Appliance.SLOW_COOKER.setting("warm"));
    Settled settled = Settled.of(run(pot, 6)).orElseThrow();
    assertThat(settled.meanC()).isCloseTo(68.1, within(0.7));
    assertThat(settled.rippleC()).isLessThan(0.3);
    assertThat(settled.overshootC()).isZero();
    assertThat(settled.minutes()).isBetween(100.0, 220.0);
  }

  @Test
  void aThermostatIsLearnedWithItsRipple() {
    ThermalPot pot = new ThermalPot(Appliance.ELECTRIC_PLATE, 20);
    pot.turn(Appliance.ELECTRIC_PLATE.setting("1"));
    Settled settled = Settled.of(run(pot, 5)).orElseThrow();
    assertThat(settled.meanC()).isCloseTo(44, within(1.0));
    // the bath swings by 3 °C; the jar in it, ten minutes behind, by much less
    assertThat(settled.rippleC()).isBetween(0.1, 2.0);
  }

  @Test
  void anOvershootIsToldFromTheRipple() {
    List<Point> points = new ArrayList<>();
    for (int minute = 0; minute <= 300; minute += 5) {
      points.add(new Point(minute / 60.0, minute < 60 ? 20 + minute : minute < 90 ? 72 : 62));
    }
    Settled settled = Settled.of(points).orElseThrow();
    assertThat(settled.overshootC()).isBetween(9.0, 19.0);
    assertThat(settled.minutes()).isBetween(80.0, 90.0);
  }

  @Test
  void whatDriftsOrIsShortOrHasAGapTeachesNothing() {
    List<Point> drifting = new ArrayList<>();
    for (int minute = 0; minute <= 120; minute += 2) {
      drifting.add(new Point(minute / 60.0, 20 + minute / 4.0));
    }
    assertThat(Settled.of(drifting)).isEmpty();
    assertThat(Settled.of(drifting.subList(0, 20))).isEmpty();
    List<Point> gap = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      gap.add(new Point(i < 10 ? i * 0.1 : i * 0.1 + 2, 45));
    }
    assertThat(Settled.of(gap)).isEmpty();
  }

  @Test
  void aReducedSeriesKeepsEveryPeakAndEveryGap() {
    Series.Builder builder = Series.builder();
    for (int i = 0; i < 200_000; i++) {
      long gap = i >= 100_000 ? 2 * HOUR : 0;
      builder.add(i * 1000L + gap, i == 77_777 ? 99 : i == 150_000 ? 3 : 43 + i % 2);
    }
    Series series = builder.build();
    Reduced reduced = series.reduced(Long.MIN_VALUE, Long.MAX_VALUE, 600);
    assertThat(reduced.from()).isEqualTo(200_000);
    assertThat(reduced.points()).hasSizeLessThan(600 * 4 + 2);
    assertThat(reduced.points()).anyMatch(p -> p.celsius() != null && p.celsius() == 99);
    assertThat(reduced.points()).anyMatch(p -> p.celsius() != null && p.celsius() == 3);
    assertThat(reduced.points().stream().filter(p -> p.celsius() == null)).hasSize(1);
    assertThat(reduced.points())
        .isSortedAccordingTo(java.util.Comparator.comparingLong(Reduced.At::millis));
  }

  @Test
  void fewReadingsAreDrawnAsTheyAre() {
    Series few = Series.none().with(0, 20).with(HOUR / 4, 30).with(HOUR / 2, 25);
    Reduced reduced = few.reduced(0, HOUR, 800);
    assertThat(reduced.points()).extracting(Reduced.At::celsius).containsExactly(20.0, 30.0, 25.0);
    assertThat(few.reduced(2 * HOUR, 3 * HOUR, 800).points()).isEmpty();
  }

  @Test
  void aSeriesGrowsWithoutTouchingWhoHoldsAShorterOne() {
    Series one = Series.none().with(0, 20);
    Series two = one.with(1000, 21);
    Series other = one.with(2000, 30);
    assertThat(one.size()).isEqualTo(1);
    assertThat(two.celsius(1)).isEqualTo(21);
    assertThat(other.celsius(1)).isEqualTo(30);
    assertThat(two.from(1)).isEqualTo(1);
    assertThat(two.points(0, 1001, 0)).hasSize(2);
    assertThatThrownBy(() -> two.with(1000, 5)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Series.builder().add(5, 1).add(5, 1))
        .isInstanceOf(IllegalArgumentException.class);
  }

  private static Stint onKnob(double settles, double hours, List<Felt> felt, double until) {
    return new Stint(0, 20, List.of(new Turn(0, settles, hours)), felt, until, false, until);
  }

  private static double at(Assumed assumed, double hours) {
    return assumed.trace().points().stream()
        .filter(p -> Math.abs(p.hours() - hours) < 1e-6)
        .findFirst()
        .orElseThrow()
        .celsius();
  }

  private static List<Point> run(ThermalPot pot, double hours) {
    List<Point> points = new ArrayList<>();
    for (int half = 0; half <= hours * 120; half++) {
      points.add(new Point(half / 120.0, pot.celsius()));
      pot.run(30);
    }
    return points;
  }
}
