package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.CrossCheck.Slip;
import velvetcrock.core.measure.CrossCheck.Substance;

class CrossCheckTest {
  private static final Substance OLIVE = new Substance(0.913, Range.exactly(0.913), false);
  private static final Substance PELLETS = new Substance(0.52, new Range(0.45, 0.60), true);
  private static final Substance CUT_FLOWER = new Substance(0.075, new Range(0.05, 0.10), true);

  private static CrossCheck check(String weight, String volume, Substance substance) {
    return CrossCheck.of(weight, volume, Kitchen.US, substance);
  }

  @ParameterizedTest
  @CsvSource({
    "273.9 g, 300 ml, true",
    "8 oz, 1 cup, true",
    "1 oz, 1 fl oz, true",
    "305 g, 300 ml, true",
    "310 g, 300 ml, false",
    "240 g, 300 ml, false"
  })
  void anOilMayBeTwelvePercentOff(String weight, String volume, boolean agrees) {
    assertThat(check(weight, volume, OLIVE).agrees()).isEqualTo(agrees);
  }

  @Test
  void aCupOfWaxPelletsCalledEightOuncesWasFluidOunces() {
    CrossCheck check = check("8 oz", "1 cup", PELLETS);

    assertThat(check.agrees()).isFalse();
    assertThat(check.statedMassG().middle()).isCloseTo(226.8, within(0.05));
    assertThat(check.impliedMassG().low()).isCloseTo(106.5, within(0.05));
    assertThat(check.impliedMassG().high()).isCloseTo(142, within(0.1));
    assertThat(check.explanations().get(0).slip()).isEqualTo(Slip.FLUID_OUNCES_FOR_OUNCES);
    assertThat(check.explanations().get(0).text()).contains("about 123 g");
  }

  @Test
  void anOilsFluidOuncesExplainNothing() {
    assertThat(check("12 oz", "1 cup", OLIVE).explanations())
        .extracting(CrossCheck.Explanation::slip)
        .doesNotContain(Slip.FLUID_OUNCES_FOR_OUNCES, Slip.PACKING);
  }

  @Test
  void aVolumeCopiedIntoTheWeightIsSeen() {
    assertThat(check("240 g", "240 ml", CUT_FLOWER).explanations().get(0).slip())
        .isEqualTo(Slip.VOLUME_FOR_WEIGHT);
  }

  @Test
  void tightPackingExplainsALittleMore() {
    assertThat(check("34 g", "240 ml", CUT_FLOWER).explanations())
        .extracting(CrossCheck.Explanation::slip)
        .containsExactly(Slip.PACKING);
  }

  @Test
  void anImperialPintExplainsAFifthMoreOil() {
    assertThat(check("519 g", "1 pt", OLIVE).explanations())
        .extracting(CrossCheck.Explanation::slip)
        .containsExactly(Slip.OTHER_CUP);
  }

  @Test
  void aVolumeForAWeightIsRefusedAtBothFieldsAtOnce() {
    assertThatThrownBy(() -> check("2 cups", "60 g", OLIVE))
        .isInstanceOfSatisfying(
            Refused.class,
            refused ->
                assertThat(refused.problems())
                    .extracting(velvetcrock.core.Problem::field)
                    .containsExactly("weight", "volume"));
  }

  @Test
  void rangesThatTouchAgree() {
    assertThat(check("10–20 g", "1 cup", CUT_FLOWER).agrees()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "60 g, 60, true",
    "2 cups, 473, false",
    "37 g = 2 cups, 37, true",
    "2 cups = 37 g, 37, true",
    "2 cups (37 g), 37, true",
    "37 g (about 2 cups), 37, true",
    "60 g = 2 oz, 60, true",
    "2 cups (480 ml), 473, false"
  })
  void anAmountGivenTwiceIsItsWeight(String text, double amount, boolean weight) {
    Measure read = CrossCheck.read(text, Kitchen.US, CUT_FLOWER);

    assertThat(read.isWeight()).isEqualTo(weight);
    assertThat(read.amount().middle()).isCloseTo(amount, within(0.5));
  }

  @ParameterizedTest
  @CsvSource({
    "120 g = 1 cup, cannot both be true",
    "240 g = 240 ml, written down as grams",
    "60 g = 4 oz, two amounts that are not the same",
    "2 cups (700 ml), two amounts that are not the same",
    "60 g = much, is understood",
    "= 60 g, amount"
  })
  void twoAmountsThatCannotBothBeTrueAreAskedAbout(String text, String said) {
    assertThatThrownBy(() -> CrossCheck.read(text, Kitchen.US, CUT_FLOWER))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("amount")
        .hasMessageContaining(said);
  }
}
