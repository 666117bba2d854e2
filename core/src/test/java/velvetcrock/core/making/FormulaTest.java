package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.making.Formula.Target;
import velvetcrock.core.materia.Catalogue;

class FormulaTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static Ingredient oil(String key, double grams) {
    return Ingredient.of(CATALOGUE.carrier(key), grams, 20);
  }

  private static Ingredient wax(String key, double grams) {
    return Ingredient.of(CATALOGUE.wax(key), grams);
  }

  @Test
  void aSalveOfPlainOilAsksForAFifthOfBeeswax() {
    Formula salve =
        Formula.towards(
            List.of(oil("olive", 100)), Target.of(Firmness.SALVE, 20), wax("beeswax", 1));

    assertThat(salve.hardness()).isZero();
    assertThat(salve.targetHardness()).isCloseTo(16, within(1e-9));
    assertThat(salve.addition().orElseThrow().massG()).isCloseTo(19.05, within(0.005));
    assertThat(salve.massG()).isCloseTo(119.05, within(0.005));
    assertThat(salve.volumeMl()).isCloseTo(100 / 0.913 + 19.0476 / 0.96, within(0.01));
    assertThat(salve.meltOrder()).containsExactly("beeswax", "olive");
  }

  @Test
  void aStickForAHotCountryIsMadeHarder() {
    Formula stick =
        Formula.towards(
            List.of(oil("olive", 100)), Target.of(Firmness.STICK, 30), wax("beeswax", 1));

    assertThat(stick.targetHardness()).isCloseTo(27.5, within(1e-9));
  }

  @Test
  void tooHardIsSoftenedWithTheFirstOil() {
    Formula softer =
        Formula.towards(
            List.of(wax("beeswax", 30), oil("sunflower", 60), oil("olive", 10)),
            new Target(16, 20),
            wax("beeswax", 1));

    assertThat(softer.hardness()).isCloseTo(30, within(1e-9));
    assertThat(softer.addition().orElseThrow().key()).isEqualTo("sunflower");
    assertThat(softer.addition().orElseThrow().massG()).isCloseTo(87.5, within(1e-9));
    assertThat(softer.parts()).hasSize(3);
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void addingWhatIsReckonedLandsOnTheTarget(@Given int seed) {
    List<Ingredient> parts =
        List.of(
            oil("olive", 10 + Math.floorMod(seed, 200)),
            oil("shea", 1 + Math.floorMod(seed / 201, 50)),
            wax("beeswax", 1 + Math.floorMod(seed / 997, 40)));
    double target = 5 + Math.floorMod(seed / 31, 40);
    Formula once = Formula.towards(parts, new Target(target, 20), wax("candelilla", 1));

    Formula again = Formula.towards(once.parts(), new Target(target, 20), wax("candelilla", 1));

    assertThat(again.hardness()).isCloseTo(target, within(0.01));
    assertThat(again.parts().stream().mapToDouble(Ingredient::massG).sum())
        .isCloseTo(once.massG(), within(0.05 * once.massG() / 100));
  }

  @Test
  void coconutCountsForNothingOnceItIsLiquid() {
    assertThat(Ingredient.of(CATALOGUE.carrier("coconut"), 10, 20).hardness()).isEqualTo(8);
    assertThat(Ingredient.of(CATALOGUE.carrier("coconut"), 10, 28).hardness()).isZero();
    assertThat(Ingredient.of(CATALOGUE.carrier("shea"), 10, 28).hardness()).isEqualTo(12);
  }

  @ParameterizedTest
  @CsvSource({"FAR_TOO_SOFT, 19.5", "A_BIT_SOFT, 17.5", "RIGHT, 16", "FAR_TOO_HARD, 12.5"})
  void theSpoonTestSaysHowMuchHarderOrSofter(Feel feel, double target) {
    Formula tested =
        Formula.afterTest(List.of(oil("olive", 84), wax("beeswax", 16)), feel, wax("beeswax", 1));

    assertThat(tested.targetHardness()).isCloseTo(target, within(1e-9));
    assertThat(tested.addition().isEmpty()).isEqualTo(feel == Feel.RIGHT);
  }

  @Test
  void aTasteForSofterIsLearnedSlowly() {
    assertThat(Feel.ownTaste(List.of())).isZero();
    assertThat(Feel.learned(List.of()).range().high()).isCloseTo(3.99, within(0.01));
    assertThat(Feel.learned(List.of(Feel.A_BIT_HARD)).count()).isEqualTo(1);
    assertThat(Feel.learned(java.util.Collections.nCopies(30, Feel.A_BIT_HARD)).range().high())
        .isLessThan(0);
    assertThat(Feel.ownTaste(List.of(Feel.A_BIT_HARD))).isCloseTo(-0.375, within(1e-9));
    assertThat(Feel.ownTaste(java.util.Collections.nCopies(30, Feel.A_BIT_HARD)))
        .isCloseTo(-45 / 33.0, within(1e-9));
  }

  @Test
  void hardnessAndWaxToOilAreTheSameThing() {
    assertThat(Formula.hardnessOfRatio(100, 5)).isCloseTo(16.667, within(0.001));
    assertThat(Formula.oilPerWax(100, 16)).isCloseTo(5.25, within(1e-9));
    assertThat(
            Formula.oilPerWaxByVolume(
                CATALOGUE.wax("beeswax"), 60, CATALOGUE.carrier("olive"), 250))
        .isCloseTo(250 * 0.913 / (60 * 0.52), within(1e-9));
  }

  @Test
  void tinsAreCountedAfterWhatStaysInThePan() {
    Formula salve =
        Formula.towards(
            List.of(oil("olive", 300)), Target.of(Firmness.SALVE, 20), wax("beeswax", 1));

    assertThat(salve.tins(30, 0)).isEqualTo(12);
    assertThat(salve.tins(30, Formula.USUAL_OVERRUN)).isEqualTo(18);
    assertThat(salve.massForTinsG(12, 30))
        .isCloseTo(360 / 0.97 * salve.densityGPerMl(), within(1e-9));
  }

  @Test
  void withEnoughBeeswaxItSetsNearFiftyDegrees() {
    Formula salve =
        Formula.towards(
            List.of(oil("olive", 100)), Target.of(Firmness.SALVE, 20), wax("beeswax", 1));
    Formula ointment =
        Formula.towards(
            List.of(oil("olive", 100)), Target.of(Firmness.OINTMENT, 20), wax("beeswax", 1));

    assertThat(salve.setsNearC()).isCloseTo(50, within(1e-9));
    assertThat(ointment.setsNearC()).isBetween(40.0, 50.0);
    assertThat(salve.minutesToPour(75, 20).middle()).isBetween(10.0, 25.0);
    assertThat(salve.essentialOilsAtC().high()).isEqualTo(60);
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(
            () ->
                Formula.towards(List.of(wax("beeswax", 50)), new Target(20, 20), wax("beeswax", 1)))
        .hasMessageContaining("no oil to soften");
    assertThatThrownBy(
            () -> Formula.towards(List.of(oil("olive", 50)), new Target(60, 20), wax("soy-wax", 1)))
        .hasMessageContaining("too soft");
    assertThatThrownBy(() -> Formula.towards(List.of(), new Target(16, 20), wax("beeswax", 1)))
        .hasMessageContaining("at least one part");
    assertThatThrownBy(() -> oil("olive", 0)).hasMessageContaining("massG");
  }

  @Test
  void padsAndCostsAreSimpleArithmetic() {
    assertThat(CompressPads.mlPerPad(100, 100, 30, 4).middle()).isCloseTo(2.4, within(1e-9));
    assertThat(
            Cost.perTinMinor(
                List.of(new Cost.Taken(300, 1000, 1200), new Cost.Taken(60, 500, 900)), 12))
        .isEqualTo(39);
    assertThatThrownBy(() -> Cost.perTinMinor(List.of(), 0)).hasMessageContaining("tins");
  }
}
