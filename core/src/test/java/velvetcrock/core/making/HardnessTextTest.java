package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;

/** Hardness as people type it. */
class HardnessTextTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final HardnessText TEXT =
      new HardnessText(
          CATALOGUE.wax("beeswax"), CATALOGUE.carrier("olive"), Units.metric(Kitchen.METRIC));

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "16|16",
        "16,5|16.5",
        "1:5|16.6667",
        "1 : 4|20",
        "1 to 3|25",
        "3 tbsp to 1 cup|9.2986",
        "3 tbsp per cup|9.2986",
        "3 tbsp to a cup|9.2986",
        "2 oz to a cup|19.8985",
        "20 g to 100 ml|17.9695",
        "20 g in 80 g|20",
        "an ounce to 4 oz|20",
        "1 part to 5|16.6667",
        "one part to five parts|16.6667"
      })
  void aNumberARatioAndSpoonsAreRead(String typed, double hardness) {
    assertThat(TEXT.read(typed)).isCloseTo(hardness, within(0.001));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "soft", "0", "120", "1:0.05", "3 tbsp to nothing"})
  void anythingElseIsRefusedWithWhatIsExpected(String typed) {
    assertThatThrownBy(() -> TEXT.read(typed))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("hardness");
  }

  @Test
  void itIsSaidAsARatioAndAsSpoons() {
    assertThat(HardnessText.ratio(OptionalDouble.of(Formula.oilPerWax(100, 20)))).isEqualTo("1:4");
    assertThat(HardnessText.ratio(OptionalDouble.of(Formula.oilPerWax(100, 16))))
        .isEqualTo("1:5.3");
    assertThat(TEXT.asCooked(9.2986)).isEqualTo("about 9 g to 100 ml of oil");
    HardnessText cups =
        new HardnessText(
            CATALOGUE.wax("beeswax"), CATALOGUE.carrier("olive"), Units.usual(Kitchen.US));
    assertThat(cups.asCooked(9.2986)).isEqualTo("about 3 tbsp of pellets to a cup");
    HardnessText candelilla =
        new HardnessText(
            CATALOGUE.wax("candelilla"), CATALOGUE.carrier("olive"), Units.metric(Kitchen.METRIC));
    assertThat(candelilla.read("1:9")).isCloseTo(19, within(1e-9));
  }
}
