package velvetcrock.core.spirit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Kitchen;

/** Onto 60 g of herb, spirit of 95 % vol, which weighs 0.81138 g/ml. */
class SpiritDoseTest {
  private static double read(String typed) {
    return SpiritDose.read(typed, Kitchen.US, 95, 60);
  }

  @ParameterizedTest
  @CsvSource({
    "0.5, 0.5",
    "'0,5', 0.5",
    "30 g, 0.5",
    "1 oz, 0.47249",
    "50 ml, 0.67615",
    "3 tbsp, 0.59988",
    "a quarter of a cup, 0.79984"
  })
  void aDoseAWeightAndAVolumeAreRead(String typed, double dose) {
    assertThat(read(typed)).isCloseTo(dose, within(1e-4));
  }

  @ParameterizedTest
  @ValueSource(strings = {"0.1", "2", "5 g", "a cup"})
  void tooLittleOrTooMuchIsRefusedWithWhatWouldBeRight(String typed) {
    assertThatThrownBy(() -> read(typed))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("15 to 60 g");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "some", "3 sticks"})
  void anythingElseIsRefused(String typed) {
    assertThatThrownBy(() -> read(typed)).isInstanceOf(Refused.class);
  }
}
