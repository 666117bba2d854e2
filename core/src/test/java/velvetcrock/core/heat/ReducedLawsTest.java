package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.heat.Assumed.Stint;
import velvetcrock.core.heat.Assumed.Turn;

/** Laws of drawing and of assuming that hold for any trace. */
class ReducedLawsTest {
  private static final long MINUTE = 60_000;

  @ParameterizedTest
  @InstancioSource(samples = 80)
  void nothingHighestOrLowestIsEverLost(@Given int seed) {
    Random random = new Random(seed);
    Series series = Series.none();
    double lowest = Double.MAX_VALUE;
    double highest = -Double.MAX_VALUE;
    long at = 0;
    int gaps = 0;
    int count = 2 + random.nextInt(400);
    for (int i = 0; i < count; i++) {
      long step = random.nextInt(20) == 0 ? 45 * MINUTE : 1 + random.nextInt(5) * MINUTE;
      gaps += i > 0 && step > 30 * MINUTE ? 1 : 0;
      at += step;
      float celsius = (float) (20 + 60 * random.nextDouble());
      series = series.with(at, celsius);
      lowest = Math.min(lowest, celsius);
      highest = Math.max(highest, celsius);
    }
    int columns = 1 + random.nextInt(50);

    long middle = series.millis(random.nextInt(count));
    Reduced whole = series.reduced(0, Long.MAX_VALUE, columns);
    Reduced inTwo =
        series.reduced(0, middle, columns).with(series.reduced(middle, Long.MAX_VALUE, columns));

    assertThat(whole.points().size()).isLessThanOrEqualTo(4 * (columns + gaps) + gaps);
    for (Reduced reduced : List.of(whole, inTwo)) {
      List<Double> drawn =
          reduced.points().stream().map(Reduced.At::celsius).filter(Objects::nonNull).toList();
      assertThat(drawn.stream().mapToDouble(d -> d).min().orElseThrow()).isEqualTo(lowest);
      assertThat(drawn.stream().mapToDouble(d -> d).max().orElseThrow()).isEqualTo(highest);
      assertThat(reduced.points().stream().filter(p -> p.celsius() == null)).hasSize(gaps);
      assertThat(reduced.points()).isSortedAccordingTo(Comparator.comparing(Reduced.At::millis));
      assertThat(reduced.from()).isEqualTo(count);
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 80)
  void anAssumedCoursePassesThroughEveryReadingAndGoesForward(@Given int seed) {
    Random random = new Random(seed);
    double until = 2 + 10 * random.nextDouble();
    double settles = 40 + 40 * random.nextDouble();
    Stint stint =
        new Stint(
            0,
            20,
            List.of(
                new Turn(0, settles, 0.5 + 2 * random.nextDouble()),
                new Turn(until / 2, settles - 10, 1)),
            List.of(),
            until,
            random.nextBoolean(),
            until + 5);
    double one = until * (0.1 + 0.3 * random.nextDouble());
    double other = until * (0.5 + 0.4 * random.nextDouble());
    List<Trace.Point> readings =
        List.of(
            new Trace.Point(one, 30 + 40 * random.nextDouble()),
            new Trace.Point(other, 30 + 40 * random.nextDouble()));

    Assumed assumed = Assumed.of(stint, readings);

    for (Trace.Point reading : readings) {
      assertThat(assumed.trace().points())
          .anySatisfy(
              p -> {
                assertThat(p.hours()).isCloseTo(reading.hours(), within(1e-5));
                assertThat(p.celsius()).isCloseTo(reading.celsius(), within(0.2));
              });
    }
    assertThat(assumed.withinC()).isBetween(2.0, 8.0);
    assertThat(assumed.ageingHours().low()).isLessThan(assumed.ageingHours().high());
    assertThat(assumed.trace().points().get(0).celsius()).isEqualTo(20);
  }

  @ParameterizedTest
  @InstancioSource(samples = 60)
  void theStandInIsTheSameHoweverItsTimeIsCut(@Given int seed) {
    Random random = new Random(seed);
    Appliance appliance = Appliance.values()[random.nextInt(Appliance.values().length)];
    Appliance.Setting setting =
        appliance.settings().get(random.nextInt(appliance.settings().size()));
    ThermalPot whole = new ThermalPot(appliance, 20);
    ThermalPot cut = new ThermalPot(appliance, 20);
    whole.turn(setting);
    cut.turn(setting);
    whole.run(3600);
    for (int i = 0; i < 120; i++) {
      cut.run(30);
    }
    assertThat(cut.celsius()).isCloseTo(whole.celsius(), within(1e-6));
    assertThat(cut.waterG()).isCloseTo(whole.waterG(), within(1e-6));
    assertThat(cut.seconds()).isCloseTo(3600, within(1e-6));
    assertThat(whole.celsius()).isGreaterThan(15);
  }
}
