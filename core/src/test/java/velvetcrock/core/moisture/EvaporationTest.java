package velvetcrock.core.moisture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.heat.Trace.Point;
import velvetcrock.core.moisture.Evaporation.Cover;

/** Water that leaves on the heat. */
class EvaporationTest {
  /** At 43 °C a 10 cm pot loses some 6 g an hour (3–10), at 80 °C some 40. */
  @Test
  void aTenCentimetrePotLosesWhatItLoses() {
    Evaporation warm = Evaporation.of(Trace.steady(43, 1), 100, Cover.OPEN);
    assertThat(warm.usualG()).isCloseTo(6.4, within(0.2));
    assertThat(warm.range().low()).isCloseTo(2.6, within(0.2));
    assertThat(warm.range().high()).isCloseTo(10.3, within(0.3));
    assertThat(Evaporation.of(Trace.steady(80, 1), 100, Cover.OPEN).usualG())
        .isCloseTo(40.0, within(1.0));
  }

  @Test
  void belowThirtyFiveNothingLeavesAndAboveBoilingNoMoreThanThere() {
    assertThat(Evaporation.of(Trace.steady(34, 100), 100, Cover.OPEN).range().high()).isZero();
    assertThat(Evaporation.of(Trace.steady(125, 1), 100, Cover.OPEN).usualG())
        .isEqualTo(Evaporation.of(Trace.steady(100, 1), 100, Cover.OPEN).usualG());
    assertThat(Evaporation.hours(10, 20, 100, Cover.OPEN)).isInfinite();
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void hotterLongerWiderAndOpenNeverLosesLess(@Given int seed) {
    double celsius = 20 + Math.floorMod(seed, 90);
    double hours = 1 + Math.floorMod(seed / 91, 50);
    double mm = 50 + Math.floorMod(seed / 7, 200);
    Evaporation plain = Evaporation.of(Trace.steady(celsius, hours), mm, Cover.OPEN);

    assertThat(plain.usualG()).isBetween(plain.range().low(), plain.range().high());
    assertThat(Evaporation.of(Trace.steady(celsius + 1, hours), mm, Cover.OPEN).usualG())
        .isGreaterThanOrEqualTo(plain.usualG());
    assertThat(Evaporation.of(Trace.steady(celsius, hours + 1), mm, Cover.OPEN).usualG())
        .isGreaterThanOrEqualTo(plain.usualG());
    assertThat(Evaporation.of(Trace.steady(celsius, hours), mm + 1, Cover.OPEN).usualG())
        .isGreaterThanOrEqualTo(plain.usualG());
    assertThat(Evaporation.of(Trace.steady(celsius, hours), mm, Cover.LIDDED).usualG())
        .isLessThanOrEqualTo(plain.usualG());
    Trace halves =
        new Trace(
            List.of(
                new Point(0, celsius), new Point(hours / 2, celsius), new Point(hours, celsius)));
    assertThat(Evaporation.of(halves, mm, Cover.OPEN).usualG())
        .isCloseTo(plain.usualG(), within(1e-9 * (1 + plain.usualG())));
  }
}
