package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.heat.Trace.Point;

class AgeingTest {
  /** SCIENCE 7: an hour at 65 °C is worth 46 (26–79), and a fridge runs at 0.19 (0.24–0.15). */
  @ParameterizedTest
  @CsvSource({"65, 45.7, 26.5, 78.9", "4, 0.190, 0.241, 0.150", "20, 1, 1, 1"})
  void anHourIsWorthWhatTheActivationEnergiesSay(
      double celsius, double usual, double gentle, double steep) {
    Aged aged = Ageing.of(Trace.steady(celsius, 1));

    assertThat(aged.usual()).isCloseTo(usual, withinPercentage(0.5));
    assertThat(aged.gentle()).isCloseTo(gentle, withinPercentage(0.5));
    assertThat(aged.steep()).isCloseTo(steep, withinPercentage(0.5));
  }

  /** Two hours at 125 °C cost olive oil some 160 days of its 18 months. */
  @Test
  void anOvenCostsAThirdOfAFreshOilsLife() {
    assertThat(Ageing.hours(Trace.steady(125, 2)) / 24).isBetween(150.0, 175.0);
  }

  @Test
  void theMeanKineticTemperatureOfASteadyOneIsItself() {
    for (double celsius : new double[] {-18, 4, 20, 43, 80, 125}) {
      assertThat(Ageing.meanKineticC(Ageing.hours(Trace.steady(celsius, 3)), 3))
          .isCloseTo(celsius, within(1e-6));
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void ageingIsAdditiveOverASplitTrace(@Given int seed) {
    double from = Math.floorMod(seed, 90);
    double to = Math.floorMod(seed / 91, 90);
    double split = 0.1 + 0.8 * Math.floorMod(seed / 7, 100) / 100;
    Point a = new Point(0, from);
    Point middle = new Point(10 * split, from + split * (to - from));
    Point b = new Point(10, to);

    double whole = Ageing.hours(new Trace(List.of(a, b)));
    double parts =
        Ageing.hours(new Trace(List.of(a, middle))) + Ageing.hours(new Trace(List.of(middle, b)));

    assertThat(parts).isCloseTo(whole, within(1e-6 * whole));
  }

  @Test
  void hoursBetweenTwoTemperaturesAreThoseOfTheLine() {
    Trace trace = new Trace(List.of(new Point(0, 0), new Point(10, 100)));

    assertThat(trace.hoursBetween(4, 60)).isCloseTo(5.6, within(1e-9));
  }

  @Test
  void aTraceThatRunsBackwardsIsRefusedAtItsPoint() {
    assertThatThrownBy(() -> new Trace(List.of(new Point(2, 20), new Point(1, 20))))
        .hasMessageContaining("trace[1]");
    assertThatThrownBy(() -> new Trace(List.of(new Point(0, 900))))
        .hasMessageContaining("trace[0].celsius");
  }
}
