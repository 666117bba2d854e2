package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/** What dials say is a span, and no reading of a thermometer. */
class DialsTest {
  @ParameterizedTest
  @CsvSource({
    "warm, 60, 75",
    "keep warm, 60, 75",
    "crock on low, 78, 95",
    "slow cooker on high, 92, 120",
    "the crock at Low, 78, 95",
    "gas mark 1/2, 110, 130",
    "gas 3, 155, 175",
    "40–45 C, 40, 45"
  })
  void aDialIsReadAsItsSpan(String said, double low, double high) {
    Range read = Temperatures.read(said, Units.Degrees.CELSIUS);
    assertThat(read.low()).isCloseTo(low, within(0.01));
    assertThat(read.high()).isCloseTo(high, within(0.01));
  }

  @ParameterizedTest
  @ValueSource(strings = {"warm", "low", "gas mark 2", "40–60 C"})
  void aDialIsNoThermometer(String said) {
    assertThatThrownBy(() -> Temperatures.shown(said, Units.Degrees.CELSIUS))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("not a thermometer");
  }

  @ParameterizedTest
  @CsvSource({"43, CELSIUS, 43", "110, FAHRENHEIT, 43.33", "40–44 C, FAHRENHEIT, 42"})
  void aThermometerIsReadInTheHouseholdsDegrees(String said, Units.Degrees own, double celsius) {
    assertThat(Temperatures.shown(said, own)).isCloseTo(celsius, within(0.01));
  }
}
