package velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.Charge.WayOut;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.MeasureReader;

class ChargerTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Jar HALF_LITRE = CATALOGUE.jar("jar-500");
  private final Charger charger = new Charger(CATALOGUE);

  private static ChargeOrder yarrow(double grams, Cut cut, Ratio ratio, Jar jar) {
    HerbPortion herb =
        HerbPortion.usual(CATALOGUE.herb("yarrow"), Part.FLOWER, cut, HerbState.DRIED, grams);
    return new ChargeOrder(
        List.of(herb),
        CarrierBlend.of(CATALOGUE.carrier("olive")),
        ratio,
        Optional.ofNullable(jar),
        ChargeOrder.USUAL_COVER_MM);
  }

  @Test
  void cutDriedFlowersAtOneToFiveAreNotCovered() {
    Charge charge = charger.reckon(yarrow(60, Cut.CUT, new Ratio.WeightToVolume(5), HALF_LITRE));

    assertThat(charge.oilMl()).isEqualTo(300);
    assertThat(charge.oilMassG()).isCloseTo(273.9, within(0.05));
    assertThat(charge.room().bedMl()).isCloseTo(690, within(0.1));
    assertThat(charge.room().voidMl()).isCloseTo(647, within(0.5));
    assertThat(charge.room().coverMl()).isCloseTo(60.3, within(0.1));
    assertThat(charge.coveringOilPerHerb()).isCloseTo(11.8, within(0.05));
    assertThat(charge.topUpMl()).isCloseTo(90, within(0.1));
    assertThat(charge.covers()).isFalse();
    assertThat(charge.levels().orElseThrow().fits()).isFalse();
  }

  @Test
  void theWaysOutReallyAreWaysOut() {
    ChargeOrder order = yarrow(20, Cut.CUT, new Ratio.Oil(230), HALF_LITRE);
    Charge charge = charger.reckon(order);

    assertThat(charge.waysOut()).hasSize(4);
    for (WayOut way : charge.waysOut()) {
      assertThat(charger.reckon(taken(order, way)).covers()).as("%s", way).isTrue();
    }
  }

  private static ChargeOrder taken(ChargeOrder order, WayOut way) {
    if (way instanceof WayOut.FinerCut finer) {
      return order.withCut(finer.cut());
    } else if (way instanceof WayOut.MoreOil more) {
      return order.withRatio(new Ratio.WeightToVolume(more.oilPerHerb()));
    } else if (way instanceof WayOut.NarrowerJar narrower) {
      return order.withJar(new Jar("n", "Narrower", 2000, narrower.innerDiameterMm()));
    }
    return order.scaledHerb(((WayOut.LessHerb) way).herbMassG() / order.herbMassG());
  }

  @ParameterizedTest
  @CsvSource({"CUT, 60, 12.0", "POWDER, 60, 5.0", "WHOLE, 20, 21.5"})
  void theDefaultRatioIsTheSmallestThatCoversInHalfStepsAndNeverBelowOneToFive(
      Cut cut, double grams, double ratio) {
    ChargeOrder order = yarrow(grams, cut, new Ratio.WeightToVolume(5), HALF_LITRE);

    double found = charger.defaultOilPerHerb(order);

    assertThat(found).isEqualTo(ratio);
    assertThat(charger.reckon(order.withRatio(new Ratio.WeightToVolume(found))).covers()).isTrue();
  }

  @Test
  void oneToFiveIsOfferedInAFinerCut() {
    assertThat(
            charger.cutForOneToFive(yarrow(60, Cut.CUT, new Ratio.WeightToVolume(12), HALF_LITRE)))
        .contains(Cut.POWDER);
    assertThat(
            charger.cutForOneToFive(
                yarrow(60, Cut.POWDER, new Ratio.WeightToVolume(5), HALF_LITRE)))
        .isEmpty();
  }

  @Test
  void levelsAreTheVolumesOverTheFloor() {
    Charge charge = charger.reckon(yarrow(30, Cut.CUT, new Ratio.WeightToVolume(13), HALF_LITRE));
    Charge.Levels levels = charge.levels().orElseThrow();

    assertThat(levels.bedMm()).isCloseTo(345 / (Math.PI * 16) * 10, within(0.1));
    assertThat(levels.oilMm()).isCloseTo((390 + 30 / 1.4) / (Math.PI * 16) * 10, within(0.1));
    assertThat(levels.coverMm()).isGreaterThan(ChargeOrder.USUAL_COVER_MM);
    assertThat(levels.fits()).isTrue();
  }

  @Test
  void freshHerbBringsWaterAndDriedBringsNone() {
    HerbPortion fresh =
        HerbPortion.usual(CATALOGUE.herb("chickweed"), Part.LEAF, Cut.CUT, HerbState.FRESH, 100);
    HerbPortion dried =
        HerbPortion.usual(CATALOGUE.herb("chickweed"), Part.LEAF, Cut.CUT, HerbState.DRIED, 100);

    assertThat(fresh.freeWaterG()).isCloseTo(100 * (0.91 - 0.12) / 0.88, within(0.01));
    assertThat(dried.freeWaterG()).isZero();
  }

  @Test
  void byWeightTheOilIsWeighed() {
    Charge charge = charger.reckon(yarrow(60, Cut.POWDER, new Ratio.WeightToWeight(5), null));

    assertThat(charge.oilMassG()).isCloseTo(300, within(0.001));
    assertThat(charge.room().coverMl()).isZero();
    assertThat(charge.levels()).isEmpty();
  }

  @Test
  void aSecondJarIsTakenWhereNoneHoldsItAll() {
    JarChoice choice =
        JarChoice.best(
            CATALOGUE.jars().stream().map(JarChoice.Free::enough).toList(), this::ofFourHundred);

    assertThat(choice.count()).isGreaterThan(1);
    assertThat(choice.jar().key()).isEqualTo("jar-2000");
  }

  /** 400 g of cut yarrow, or a share of them, as they stand in a jar. */
  private Fit ofFourHundred(Jar jar, double share) {
    ChargeOrder order = yarrow(400 * share, Cut.CUT, new Ratio.WeightToVolume(5), jar);
    return charger.fit(order.withRatio(new Ratio.WeightToVolume(charger.defaultOilPerHerb(order))));
  }

  @Test
  void whereOneKindDoesNotSufficeTheLargestFreeOnesShareIt() {
    List<JarChoice.Free> free =
        List.of(
            new JarChoice.Free(CATALOGUE.jar("jar-2000"), 2),
            new JarChoice.Free(CATALOGUE.jar("jar-1000"), 3),
            new JarChoice.Free(CATALOGUE.jar("jar-500"), 0));

    JarChoice choice = JarChoice.best(free, this::ofFourHundred);

    assertThat(choice.even()).isFalse();
    assertThat(choice.fills().stream().mapToDouble(JarChoice.Fill::share).sum())
        .isCloseTo(1, within(1e-3));
    assertThat(choice.fills()).extracting(f -> f.jar().key()).doesNotContain("jar-500");
    assertThat(choice.fills())
        .allSatisfy(f -> assertThat(ofFourHundred(f.jar(), f.share()).fits()).isTrue());
  }

  @Test
  void whereTheFreeJarsDoNotHoldItThatIsSaid() {
    List<JarChoice.Free> one = List.of(new JarChoice.Free(CATALOGUE.jar("jar-500"), 1));

    assertThatThrownBy(() -> JarChoice.best(one, this::ofFourHundred))
        .hasMessageContaining("do not hold this");
    assertThatThrownBy(() -> JarChoice.best(List.of(), this::ofFourHundred))
        .hasMessageContaining("No jar stands empty");
  }

  @Test
  void aVolumeOfHerbIsAWeightWithARange() {
    var measure = new MeasureReader(Kitchen.METRIC).read("2 cups");
    var range =
        Amounts.herbMassG(
            measure, CATALOGUE.herb("yarrow"), Part.FLOWER, Cut.CUT, HerbState.DRIED, CATALOGUE);

    assertThat(range.low()).isCloseTo(25, within(0.01));
    assertThat(range.middle()).isCloseTo(37.5, within(0.01));
    assertThat(range.high()).isCloseTo(50, within(0.01));
  }

  @Test
  void whatCannotBeIsRefusedWithItsField() {
    assertThatThrownBy(() -> yarrow(0, Cut.CUT, new Ratio.WeightToVolume(5), null))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("massG");
    assertThatThrownBy(() -> new Ratio.WeightToVolume(-1)).hasMessageContaining("oilPerHerb");
    assertThatThrownBy(() -> new Ratio.Oil(Double.NaN)).hasMessageContaining("oilMl");
    assertThatThrownBy(() -> new CarrierBlend(List.of())).hasMessageContaining("carriers");
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void moreOilNeverCoversLess(@Given int seed) {
    double grams = 1 + Math.floorMod(seed, 997) / 4.0;
    double ratio = 1 + Math.floorMod(seed, 31);
    Cut cut = Cut.values()[Math.floorMod(seed, 4)];

    Charge less = charger.reckon(yarrow(grams, cut, new Ratio.WeightToVolume(ratio), HALF_LITRE));
    Charge more =
        charger.reckon(yarrow(grams, cut, new Ratio.WeightToVolume(ratio + 0.5), HALF_LITRE));

    assertThat(more.covers() || !less.covers()).isTrue();
    assertThat(more.shortMl()).isLessThanOrEqualTo(less.shortMl());
    assertThat(more.levels().orElseThrow().oilMm())
        .isGreaterThan(less.levels().orElseThrow().oilMm());
  }
}
