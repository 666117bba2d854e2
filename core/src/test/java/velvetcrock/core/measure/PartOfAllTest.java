package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PartOfAllTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "all",
        "All of it",
        "everything",
        "the rest",
        "the rest of it",
        "what is left",
        "what’s left",
        "the whole lot",
        "all there is"
      })
  void allOfItIsOne(String said) {
    assertThat(PartOfAll.read(said)).hasValue(1);
  }

  @ParameterizedTest
  @CsvSource({
    "half, 0.5",
    "half of it, 0.5",
    "a third of it, 0.3333",
    "two thirds of what is left, 0.6667",
    "three quarters, 0.75",
    "½ of it, 0.5"
  })
  void aPartIsAShareOfIt(String said, double share) {
    assertThat(PartOfAll.read(said).getAsDouble()).isCloseTo(share, within(1e-3));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "300 ml", "half a cup", "a cup and a half", "2 parts", "allspice", "3"})
  void anAmountIsNoPart(String said) {
    assertThat(PartOfAll.read(said)).isEmpty();
  }
}
