package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.heat.HeatStatistics.Band;

/** Where oil heads, held against courses that are known. */
class ForecastLawsTest {
  private static final Random RANDOM = new Random(11);
  private static final Band BAND = new Band(40, 50);

  /** A reading every so many seconds over so many minutes, the last at minute 0. */
  private static Forecast of(double minutes, double everySeconds, DoubleUnaryOperator atMinute) {
    List<Trace.Point> points = new ArrayList<>();
    for (double at = -minutes; at <= 1e-9; at += everySeconds / 60) {
      points.add(new Trace.Point(10 + at / 60, atMinute.applyAsDouble(at)));
    }
    return Forecast.of(points).orElseThrow();
  }

  @RepeatedTest(50)
  void aCourseByNewtonsLawIsFoundAgain() {
    double settles = 20 + 80 * RANDOM.nextDouble();
    double away = (RANDOM.nextBoolean() ? 1 : -1) * (10 + 20 * RANDOM.nextDouble());
    double k = 0.03 + 0.07 * RANDOM.nextDouble();
    Forecast forecast = of(12, 10, m -> settles - away * Math.exp(-k * m));

    assertThat(forecast.settlesC()).isPresent();
    assertThat(forecast.settlesC().getAsDouble())
        .isCloseTo(settles, within(0.05 * Math.abs(away) + 0.3));
    assertThat(forecast.heading())
        .isEqualTo(away > 0 ? Forecast.Heading.RISING : Forecast.Heading.FALLING);
    double level = settles - away * 0.5;
    assertThat(forecast.minutesTo(level)).isPresent();
    assertThat(forecast.minutesTo(level).getAsDouble())
        .isCloseTo(Math.log(2) / k, within(0.15 * Math.log(2) / k));
  }

  @RepeatedTest(30)
  void aStraightCourseGoesOnStraight() {
    double slope = (RANDOM.nextBoolean() ? 1 : -1) * (0.2 + 3 * RANDOM.nextDouble());
    Forecast forecast = of(12, 15, m -> 45 + slope * m);

    assertThat(forecast.perMinute()).isCloseTo(slope, within(1e-6));
    assertThat(forecast.settlesC()).isEmpty();
    assertThat(forecast.minutesTo(45 + 10 * slope).getAsDouble()).isCloseTo(10, within(1e-3));
    assertThat(forecast.minutesTo(45 - 10 * slope)).as("behind it").isEmpty();
    assertThat(forecast.minutesTo(45 + 200 * slope)).as("hours away").isEmpty();
  }

  @Test
  void whatSettlesBelowALevelNeverPassesIt() {
    Forecast forecast = of(12, 10, m -> 48 - 10 * Math.exp(-0.1 * m));

    assertThat(forecast.minutesTo(60)).isEmpty();
    assertThat(forecast.minutesTo(46)).isPresent();
  }

  @ParameterizedTest
  @CsvSource({
    "45, 1, 5, ",
    "45, -1, 5, ",
    "45, 0, , ",
    "30, 1, , 10",
    "30, -1, , ",
    "60, -2, , 5",
    "60, 2, , "
  })
  void aBandIsLeftOrEntered(double now, double slope, Double leaves, Double enters) {
    Forecast forecast = of(12, 15, m -> now + slope * m);

    if (leaves == null) {
      assertThat(forecast.minutesToLeave(BAND)).isEmpty();
    } else {
      assertThat(forecast.minutesToLeave(BAND).getAsDouble()).isCloseTo(leaves, within(1e-3));
    }
    if (enters == null) {
      assertThat(forecast.minutesToEnter(BAND)).isEmpty();
    } else {
      assertThat(forecast.minutesToEnter(BAND).getAsDouble()).isCloseTo(enters, within(1e-3));
    }
  }

  @Test
  void fewReadingsOrAShortLookSayNothing() {
    assertThat(Forecast.of(List.of())).isEmpty();
    assertThat(Forecast.of(List.of(new Trace.Point(1, 40), new Trace.Point(1.1, 41)))).isEmpty();
    assertThat(
            Forecast.of(
                List.of(
                    new Trace.Point(1, 40),
                    new Trace.Point(1.001, 40.5),
                    new Trace.Point(1.002, 41))))
        .as("seven seconds")
        .isEmpty();
  }

  @Test
  void aFewReadingsGiveAStraightLineOnly() {
    Forecast forecast = of(8, 120, m -> 48 - 10 * Math.exp(-0.2 * (m + 8)));

    assertThat(forecast.settlesC()).isEmpty();
    assertThat(forecast.heading()).isEqualTo(Forecast.Heading.RISING);
  }

  @Test
  void readingsOlderThanTwelveMinutesArePassedOver() {
    Forecast late = of(12, 15, m -> 45 + 0.5 * m);
    Forecast whole = of(60, 15, m -> m < -12 ? 90 : 45 + 0.5 * m);

    assertThat(whole.perMinute()).isCloseTo(late.perMinute(), within(1e-6));
  }
}
