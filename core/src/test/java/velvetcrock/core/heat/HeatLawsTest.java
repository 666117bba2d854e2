package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.heat.Trace.Point;

/** What holds for every trace. */
class HeatLawsTest {
  private static List<Point> points(int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Point> points = new ArrayList<>();
    double hours = 0;
    int count = random.nextInt(2, 40);
    for (int i = 0; i < count; i++) {
      points.add(new Point(hours, random.nextDouble(5, 120)));
      hours += random.nextDouble(0.01, 0.45);
    }
    return points;
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void ageingNeverFallsAsTimeGoesOn(@Given int seed) {
    List<Point> points = points(seed);
    double before = 0;
    for (int i = 1; i <= points.size(); i++) {
      double now = Ageing.hours(new Trace(points.subList(0, i)));
      assertThat(now).isGreaterThanOrEqualTo(before);
      before = now;
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void ageingLiesBetweenThatOfTheColdestAndTheHottest(@Given int seed) {
    Trace trace = new Trace(points(seed));
    double coldest = Ageing.rate(trace.coldestC()) * trace.hours();
    double hottest =
        Ageing.rate(trace.points().stream().mapToDouble(Point::celsius).max().orElseThrow())
            * trace.hours();

    assertThat(Ageing.hours(trace)).isBetween(coldest * (1 - 1e-12), hottest * (1 + 1e-12));
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void hotterAgesMoreAtEveryEnergyAndTheFigureLiesWithinItsEnds(@Given int seed) {
    Trace trace = new Trace(points(seed));
    Aged aged = Ageing.of(trace);
    Aged hotter = Ageing.of(trace.warmerBy(1 + Math.floorMod(seed, 20)));

    assertThat(hotter.gentle()).isGreaterThan(aged.gentle());
    assertThat(hotter.usual()).isGreaterThan(aged.usual());
    assertThat(hotter.steep()).isGreaterThan(aged.steep());
    HeatStatistics stats = HeatStatistics.of(trace, Band.WARM, 60);
    assertThat(stats.ageingHours()).isCloseTo(aged.usual(), within(1e-9 * aged.usual()));
    assertThat(stats.ageingRange().low()).isLessThanOrEqualTo(stats.ageingHours());
    assertThat(stats.ageingRange().high()).isGreaterThanOrEqualTo(stats.ageingHours());
  }

  /** At 30 minutes the width begins; the figure runs on. */
  @ParameterizedTest
  @InstancioSource(samples = 100)
  void aSilenceJumpsInItsWidthAndNotInItsFigure(@Given int seed) {
    double from = 20 + Math.floorMod(seed, 60);
    double to = 20 + Math.floorMod(seed / 61, 60);
    HeatStatistics heard = silent(from, to, Readings.GAP_HOURS);
    HeatStatistics silent = silent(from, to, Readings.GAP_HOURS + 1e-9);

    assertThat(silent.ageingHours()).isCloseTo(heard.ageingHours(), withinPercentage(1e-5));
    assertThat(silent.ageingRange().low()).isLessThanOrEqualTo(heard.ageingRange().low() + 1e-6);
    assertThat(silent.ageingRange().high())
        .isGreaterThanOrEqualTo(heard.ageingRange().high() - 1e-6);
  }

  private static HeatStatistics silent(double fromC, double toC, double hours) {
    return HeatStatistics.of(
        new Trace(List.of(new Point(0, fromC), new Point(hours, toC))), Band.WARM, 60);
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void anExtraReadingOnTheLineChangesNothing(@Given int seed) {
    List<Point> points = points(seed);
    Point a = points.get(0);
    Point b = points.get(1);
    List<Point> finer = new ArrayList<>(points);
    finer.add(1, new Point((a.hours() + b.hours()) / 2, (a.celsius() + b.celsius()) / 2));

    HeatStatistics one = HeatStatistics.of(new Trace(points), Band.WARM, 60);
    HeatStatistics other = HeatStatistics.of(new Trace(finer), Band.WARM, 60);

    assertThat(other.ageingHours()).isCloseTo(one.ageingHours(), within(1e-6 * one.ageingHours()));
    assertThat(other.inBandFraction()).isCloseTo(one.inBandFraction(), within(1e-9));
    assertThat(other.aboveCeilingMinutes()).isCloseTo(one.aboveCeilingMinutes(), within(1e-6));
    assertThat(other.excursions()).hasSameSizeAs(one.excursions());
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void everyExcursionIsLongEnoughAndAboveTheCeiling(@Given int seed) {
    HeatStatistics stats = HeatStatistics.of(new Trace(points(seed)), Band.WARM, 60);

    double minutes = 0;
    for (HeatStatistics.Excursion excursion : stats.excursions()) {
      assertThat(excursion.toHours() - excursion.fromHours())
          .isGreaterThan(HeatStatistics.EXCURSION_HOURS);
      assertThat(excursion.peakC()).isBetween(60.0, stats.peakC());
      minutes += (excursion.toHours() - excursion.fromHours()) * 60;
    }
    assertThat(minutes).isLessThanOrEqualTo(stats.aboveCeilingMinutes() + 1e-6);
  }

  @Test
  void aLongTraceIsRefusedShortlyAndNotPointByPoint() {
    List<Point> silly = new ArrayList<>();
    for (int i = 0; i < 100_000; i++) {
      silly.add(new Point(-i, 9999));
    }
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> new Trace(silly))
        .isInstanceOfSatisfying(
            velvetcrock.core.Refused.class,
            refused -> assertThat(refused.problems().size()).isLessThan(30));
  }
}
