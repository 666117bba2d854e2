package velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.measure.Units;

class LevelTest {
  @ParameterizedTest
  @CsvSource({
    "to the neck, 0.92",
    "Up to the shoulder, 0.85",
    "filled to the brim, 1",
    "to its neck, 0.92",
    "to the top of the jar, 1"
  })
  void aPlaceOfTheJarIsAShareOfIt(String said, double share) {
    Level level = Level.of(said, Units.Lengths.MILLIMETRES).orElseThrow();
    assertThat(level.share()).hasValue(share);
    assertThat(level.aboveMm()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "an inch above it, MILLIMETRES, 25.4",
    "1 inch above the herb, MILLIMETRES, 25.4",
    "2 cm over the herbs, INCHES, 20",
    "half an inch above, INCHES, 12.7",
    "15 above it, MILLIMETRES, 15",
    "enough to cover, MILLIMETRES, 12",
    "to cover the herb, INCHES, 12"
  })
  void aDepthIsCountedAboveTheHerb(String said, Units.Lengths own, double mm) {
    Level level = Level.of(said, own).orElseThrow();
    assertThat(level.share()).isEmpty();
    assertThat(level.aboveMm().getAsDouble()).isCloseTo(mm, within(0.01));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "300 ml", "2 cups", "1", "half as much", "to the moon", "a lot over it"})
  void anAmountIsNoLevel(String said) {
    assertThat(Level.of(said, Units.Lengths.MILLIMETRES)).isEmpty();
  }
}
