package velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Reckoning;
import velvetcrock.core.caution.Situation.Addition;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;

class CautionsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private final Cautions cautions = Cautions.shipped();

  private List<String> codes(String herb, HerbState state, String carrier, Use use, Light light) {
    var thing = CATALOGUE.herb(herb);
    ChargeOrder order =
        new ChargeOrder(
            List.of(HerbPortion.usual(thing, thing.bestPart(), Cut.CUT, state, 20)),
            CarrierBlend.of(CATALOGUE.carrier(carrier)),
            new Ratio.WeightToVolume(12),
            Optional.of(CATALOGUE.jar("jar-500")),
            12);
    var charge = new Charger(CATALOGUE).reckon(order);
    return cautions.forCharge(order, charge, use, light, 20).stream().map(Caution::code).toList();
  }

  @Test
  void aSolidFatCannotBeInfusedCold() {
    assertThat(codes("yarrow", HerbState.DRIED, "coconut", Use.SKIN, Light.DARK))
        .startsWith("solid-carrier");
  }

  @Test
  void freshGarlicForEatingIsStoppedWithBotulism() {
    assertThat(codes("garlic", HerbState.FRESH, "olive", Use.KITCHEN, Light.DARK))
        .contains("botulism")
        .doesNotContain("free-water");
    assertThat(cautions.of("botulism").level()).isEqualTo(Caution.Level.STOP);
  }

  @Test
  void herbCarrierAndPlaceEachBringTheirs() {
    assertThat(codes("yarrow", HerbState.DRIED, "hazelnut", Use.SKIN, Light.WINDOW))
        .contains("daisy-family", "tree-nut", "window-light", "patch-test");
    assertThat(codes("yarrow", HerbState.DRIED, "jojoba", Use.KITCHEN, Light.DARK))
        .contains("not-edible-herb", "not-edible-carrier", "kitchen-dried");
  }

  private List<String> planned(
      String herb, HerbState state, Purpose purpose, double celsius, Addition... with) {
    var thing = CATALOGUE.herb(herb);
    ChargeOrder order =
        new ChargeOrder(
            List.of(HerbPortion.usual(thing, thing.bestPart(), Cut.CUT, state, 20)),
            CarrierBlend.of(CATALOGUE.carrier("olive")),
            new Ratio.WeightToVolume(12),
            Optional.empty(),
            12);
    var charge = new Charger(CATALOGUE).reckon(order);
    return cautions
        .forPlan(new Situation(order, charge, purpose, Light.DARK, celsius, Set.of(with)))
        .stream()
        .map(Caution::code)
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "comfrey, PREGNANCY, comfrey-never",
    "comfrey, NURSING, comfrey-never",
    "comfrey, BABY, comfrey-never",
    "comfrey, KITCHEN, comfrey-never",
    "mugwort, PREGNANCY, pregnancy-stop",
    "yarrow, PREGNANCY, pregnancy-ask",
    "cayenne, CHILD, hot-child",
    "cayenne, FACE, hot-tender",
    "arnica, LIPS, arnica-never",
    "yarrow, LIPS, lips-swallowed",
    "yarrow, INTIMATE, intimate",
    "yarrow, MASSAGE, massage-slippery",
    "yarrow, NURSING, nursing-wash",
    "yarrow, HAIR, patch-test",
    "yarrow, KITCHEN, not-edible-herb"
  })
  void whoAndWhatItIsForDecides(String herb, Purpose purpose, String code) {
    assertThat(planned(herb, HerbState.DRIED, purpose, 20)).contains(code);
    assertThat(planned(herb, HerbState.DRIED, purpose, 20)).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @CsvSource({
    "30, 'hot-oil|frying|oven-hot|too-hot-for-herb', ''",
    "65, 'frying|oven-hot', 'hot-oil|too-hot-for-herb'",
    "95, frying, 'hot-oil|oven-hot'",
    "120, 'bath-near-boiling', 'hot-oil|oven-hot|frying'"
  })
  void heatIsCautionedByItsDegree(double celsius, String not, String due) {
    List<String> codes = planned("rose", HerbState.DRIED, Purpose.SKIN, celsius);

    assertThat(codes).doesNotContain(not.split("\\|"));
    if (!due.isEmpty()) {
      assertThat(codes).contains(due.split("\\|"));
    }
  }

  @Test
  void spiritBringsFireAndAWeakOneWaterToo() {
    assertThat(planned("yarrow", HerbState.DRIED, Purpose.SKIN, 30, Addition.SPIRIT))
        .contains("spirit-fire")
        .doesNotContain("spirit-weak");
    assertThat(planned("yarrow", HerbState.DRIED, Purpose.SKIN, 30, Addition.WEAK_SPIRIT))
        .contains("spirit-fire", "spirit-weak");
    assertThat(cautions.of("spirit-fire").level()).isEqualTo(Caution.Level.STOP);
  }

  @Test
  void aFreshHerbIsStoppedColdAndAskedToBeDrivenDryOnTheHeat() {
    assertThat(planned("chickweed", HerbState.FRESH, Purpose.SKIN, 20)).contains("fresh-cold");
    assertThat(planned("chickweed", HerbState.FRESH, Purpose.SKIN, 43))
        .contains("drive-dry")
        .doesNotContain("fresh-cold");
  }

  @Test
  void essentialOilsAreNoneForBabiesAndNotForIntimateSkin() {
    assertThat(planned("yarrow", HerbState.DRIED, Purpose.BABY, 20, Addition.ESSENTIAL_OIL))
        .startsWith("essential-under-two");
    assertThat(planned("yarrow", HerbState.DRIED, Purpose.INTIMATE, 20, Addition.ESSENTIAL_OIL))
        .startsWith("intimate-essential");
  }

  @Test
  void leatheryIsNotDry() {
    var yarrow = CATALOGUE.herb("yarrow");
    ChargeOrder order =
        new ChargeOrder(
            List.of(new HerbPortion(yarrow, yarrow.bestPart(), Cut.CUT, HerbState.DRIED, 20, 0.15)),
            CarrierBlend.of(CATALOGUE.carrier("olive")),
            new Ratio.WeightToVolume(12),
            Optional.empty(),
            12);
    var charge = new Charger(CATALOGUE).reckon(order);

    assertThat(cautions.forCharge(order, charge, Use.SKIN, Light.DARK, 20))
        .extracting(Caution::code)
        .contains("leathery", "free-water");
  }

  @ParameterizedTest
  @CsvSource({
    "fresh-cold, HAVING_READ",
    "free-water, HAVING_READ",
    "botulism, HAVING_READ",
    "spirit-fire, HAVING_READ",
    "kitchen-cold-room, NEVER",
    "kitchen-warmed, NEVER",
    "not-edible-herb, NEVER",
    "solid-carrier, NEVER",
    "comfrey-never, NEVER",
    "no-ear, FREELY",
    "patch-test, FREELY",
    "old-herb, FREELY"
  })
  void someStopsAreGoneThroughHavingReadThemAndSomeNever(String code, Caution.Passing passing) {
    assertThat(cautions.of(code).passing()).isEqualTo(passing);
  }

  @Test
  void freshHerbForEatingMayStandInTheFridgeButNotInTheRoom() {
    assertThat(planned("garlic", HerbState.FRESH, Purpose.KITCHEN, 4))
        .contains("botulism")
        .doesNotContain("kitchen-cold-room");
    assertThat(planned("garlic", HerbState.FRESH, Purpose.KITCHEN, 18))
        .contains("botulism", "kitchen-cold-room");
  }

  /** Nothing tells anybody to warm fresh herb for eating. */
  @ParameterizedTest
  @ValueSource(doubles = {4, 18, 43, 65, 80, 95})
  void freshHerbForEatingIsNeverSentToTheHeat(double celsius) {
    List<String> codes = planned("garlic", HerbState.FRESH, Purpose.KITCHEN, celsius);

    assertThat(codes).contains("botulism").doesNotContain("fresh-cold", "drive-dry", "free-water");
    assertThat(codes.contains("kitchen-warmed")).isEqualTo(celsius >= 38);
    assertThat(cautions.of("kitchen-warmed").passing()).isEqualTo(Caution.Passing.NEVER);
    assertThat(codes)
        .allSatisfy(
            code ->
                assertThat(cautions.of(code).turnTo())
                    .doesNotContainIgnoringCase("warm it")
                    .doesNotContainIgnoringCase("infuse it warm")
                    .doesNotContainIgnoringCase("with heat"));
  }

  @Test
  void aSlurryHasToSettleAndSpiritToLeave() {
    assertThat(planned("yarrow", HerbState.DRIED, Purpose.SKIN, 20, Addition.BLENDING))
        .contains("slurry-settles");
    assertThat(planned("yarrow", HerbState.DRIED, Purpose.SKIN, 30, Addition.SPIRIT))
        .contains("loosely-covered");
  }

  private List<String> keeping(Keeping.Rule rule, double startDays, Use use) {
    LocalDate until = LocalDate.of(2027, 1, 1);
    Keeping keeping =
        new Keeping(
            until,
            new Keeping.Span(until, until, false),
            100,
            rule,
            startDays,
            10,
            List.of(),
            List.of(),
            Reckoning.writer().done());
    return cautions.forKeeping(keeping, use).stream().map(Caution::code).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "FREE_WATER, 300, SKIN, free-water patch-test",
    "KITCHEN_FRESH, 300, KITCHEN, botulism home-preparation",
    "STOOD_WARM, 300, KITCHEN, botulism home-preparation",
    "KITCHEN_DRIED, 300, KITCHEN, kitchen-dried home-preparation",
    "KITCHEN_NOT_IN_FRIDGE, 300, KITCHEN, kitchen-dried home-preparation",
    "AGEING, 300, SKIN, patch-test",
    "TWELVE_MONTHS, 300, SKIN, patch-test",
    "CARRIER_DATE, 0, SKIN, old-carrier patch-test",
    "TWENTY_FOUR_MONTHS_FRIDGE, -3, SKIN, old-carrier patch-test"
  })
  void aDateIsToldWithWhatItsRuleIsAbout(
      Keeping.Rule rule, double startDays, Use use, String codes) {
    assertThat(keeping(rule, startDays, use)).containsExactlyInAnyOrder(codes.split(" "));
  }

  private List<String> pot(
      double celsius, boolean bath, boolean low, Appliance on, boolean spirit) {
    return cautions.forPot(new PotOnHeat(celsius, bath, low, on, spirit)).stream()
        .map(Caution::code)
        .toList();
  }

  @ParameterizedTest
  @EnumSource(Appliance.class)
  void spiritOverAnythingThatCanLightItIsStopped(Appliance appliance) {
    boolean lights =
        appliance.burner() || appliance == Appliance.OVEN || appliance == Appliance.DEHYDRATOR;

    assertThat(pot(40, false, false, appliance, true))
        .containsExactly(lights ? "spirit-on-burner" : "spirit-fire");
    assertThat(pot(40, false, false, appliance, false)).isEmpty();
  }

  @Test
  void anElectricPlateUnderABathIsTheOneBurnerForSpirit() {
    assertThat(pot(40, true, false, Appliance.ELECTRIC_PLATE, true)).containsExactly("spirit-fire");
    assertThat(pot(40, true, false, Appliance.GAS_RING, true)).containsExactly("spirit-on-burner");
    assertThat(pot(40, false, false, null, true)).containsExactly("spirit-fire");
  }

  @Test
  void whatIsTooHotOrRunsDryIsSaidWorstFirst() {
    List<String> all = pot(150, true, true, Appliance.GAS_RING, true);

    assertThat(all)
        .containsExactlyInAnyOrder("spirit-on-burner", "frying", "bath-too-hot", "bath-low");
    assertThat(all.stream().map(code -> cautions.of(code).level()).toList()).isSorted();
    assertThat(pot(70, true, false, Appliance.GAS_RING, false)).isEmpty();
  }

  @Test
  void aCodeThatNoCautionHasIsASlip() {
    assertThatThrownBy(() -> cautions.of("moonlight"))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("moonlight");
  }

  @Test
  void eachIsSaidOnceAndTheWorstFirst() {
    assertThat(cautions.of(List.of("patch-test", "botulism", "patch-test", "daisy-family")))
        .extracting(Caution::code)
        .containsExactly("botulism", "daisy-family", "patch-test");
  }

  @Test
  void aLineIsEnoughOnceItWasReadOrIsForAnotherDay() {
    Set<Caution.Stage> tending = Set.of(Caution.Stage.TENDING);
    Caution fire = cautions.of("spirit-fire");
    assertThat(fire.folded(tending, List.of())).isFalse();
    assertThat(fire.folded(tending, List.of("spirit-fire"))).isTrue();
    assertThat(fire.folded(Set.of(), List.of())).as("a stop stays until it was read").isFalse();
    assertThat(cautions.of("sun").folded(tending, List.of())).isTrue();
    assertThat(cautions.of("floating").folded(tending, List.of())).isFalse();
    assertThat(cautions.of("latex").folded(tending, List.of())).isFalse();
  }
}
