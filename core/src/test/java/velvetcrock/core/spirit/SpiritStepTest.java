package velvetcrock.core.spirit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Refused;

class SpiritStepTest {
  @ParameterizedTest
  @CsvSource({"40, 0.333", "95, 0.924", "100, 1", "0, 0"})
  void strengthByVolumeIsLessByWeight(double abv, double fraction) {
    assertThat(EthanolWater.massFraction(abv)).isCloseTo(fraction, within(0.0005));
  }

  @Test
  void betweenTabledStrengthsTheDensityIsInterpolated() {
    assertThat(EthanolWater.density(75)).isCloseTo((0.88556 + 0.85927) / 2, within(1e-9));
  }

  @Test
  void cheapSpiritBringsMoreWaterThanAlcohol() {
    SpiritStep step = SpiritStep.of(60, 0.5, 40, 274);

    assertThat(step.spiritMassG()).isEqualTo(30);
    assertThat(step.spiritMl()).isCloseTo(31.64, within(0.01));
    assertThat(step.ethanolMassG()).isCloseTo(9.99, within(0.01));
    assertThat(step.waterMassG()).isCloseTo(20.01, within(0.01));
    assertThat(step.waterPercentOfOil()).isCloseTo(7.30, within(0.01));
    assertThat(step.mustLeaveG()).isCloseTo(0.95 * 9.99 + 0.9 * 20.01, within(0.02));
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void strongerSpiritNeverBringsMoreWater(@Given int seed) {
    double weaker = 20 + Math.floorMod(seed, 79);
    assertThat(SpiritStep.of(60, 0.5, weaker + 1, 274).waterMassG())
        .isLessThan(SpiritStep.of(60, 0.5, weaker, 274).waterMassG());
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0.5, 75, 300, herbMassG",
    "60, 2, 75, 300, dose",
    "60, 0.5, 101, 300, abvPercent",
    "60, 0.5, 10, 300, abvPercent",
    "60, 0.5, 75, 0, oilMassG"
  })
  void whatCannotBeIsRefusedAtItsField(
      double herb, double dose, double abv, double oil, String field) {
    assertThatThrownBy(() -> SpiritStep.of(herb, dose, abv, oil))
        .isInstanceOf(Refused.class)
        .hasMessageStartingWith(field);
  }
}
