package velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.Range;
import velvetcrock.core.charge.Charge.WayOut;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.MeasureReader;

/** What holds for every charge, whatever the herb, cut, state, oil and jar. */
class ChargeLawsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final List<Herb> HERBS = List.copyOf(CATALOGUE.herbs());
  private static final List<Jar> JARS = List.copyOf(CATALOGUE.jars());
  private final Charger charger = new Charger(CATALOGUE);

  private static ChargeOrder order(int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    Herb herb = HERBS.get(random.nextInt(HERBS.size()));
    HerbState state = HerbState.values()[random.nextInt(3)];
    return new ChargeOrder(
        List.of(
            HerbPortion.usual(
                herb,
                herb.bestPart(),
                Cut.values()[random.nextInt(3)],
                state,
                random.nextDouble(1, 300))),
        CarrierBlend.of(CATALOGUE.carrier("olive")),
        new Ratio.WeightToVolume(random.nextDouble(1, 25)),
        Optional.of(JARS.get(random.nextInt(JARS.size()))),
        random.nextDouble(0, 25));
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void aFinerCutNeverCoversLess(@Given int seed) {
    ChargeOrder order = order(seed);
    Charge charge = charger.reckon(order);

    for (Cut finer : order.herbs().get(0).cut().finer()) {
      Charge cut = charger.reckon(order.withCut(finer));
      assertThat(cut.coveringOilPerHerb()).isLessThanOrEqualTo(charge.coveringOilPerHerb() + 1e-9);
      assertThat(charge.covers() && !cut.covers()).isFalse();
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void theCoveringRatioJustCovers(@Given int seed) {
    ChargeOrder order = order(seed);
    double covering = charger.reckon(order).coveringOilPerHerb();

    assertThat(charger.reckon(order.withRatio(new Ratio.WeightToVolume(covering + 1e-6))).covers())
        .isTrue();
    assertThat(charger.reckon(order.withRatio(new Ratio.WeightToVolume(covering - 1e-3))).covers())
        .isFalse();
    assertThat(charger.defaultOilPerHerb(order))
        .isGreaterThanOrEqualTo(Math.max(5, covering - 1e-6));
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void everyWayOutCoversWhenTaken(@Given int seed) {
    ChargeOrder order = order(seed);
    Charge charge = charger.reckon(order);
    assertThat(charge.waysOut().isEmpty()).isEqualTo(charge.covers());

    for (WayOut way : charge.waysOut()) {
      if (way instanceof WayOut.MoreOil more) {
        assertThat(charger.reckon(order.withRatio(new Ratio.Oil(more.oilMl()))).covers()).isTrue();
      } else if (way instanceof WayOut.NarrowerJar narrower && narrower.innerDiameterMm() >= 15) {
        Jar jar = new Jar("own", "Narrower", 5000, narrower.innerDiameterMm() * 0.999);
        assertThat(charger.reckon(order.withJar(jar)).covers()).isTrue();
      } else if (way instanceof WayOut.LessHerb less && less.herbMassG() >= 0.01) {
        ChargeOrder lighter =
            order
                .scaledHerb(less.herbMassG() * 0.9999 / order.herbMassG())
                .withRatio(new Ratio.Oil(charge.oilMl()));
        assertThat(charger.reckon(lighter).covers()).isTrue();
      } else if (way instanceof WayOut.FinerCut finer) {
        assertThat(charger.reckon(order.withCut(finer.cut())).covers())
            .isEqualTo(finer.coversAsAsked());
      }
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void twiceOfEverythingIsTwiceOfEverything(@Given int seed) {
    ChargeOrder order = order(seed);
    Charge once = charger.reckon(order);
    Charge twice = charger.reckon(order.scaledHerb(2));

    assertThat(twice.oilMl()).isCloseTo(2 * once.oilMl(), within(1e-6));
    assertThat(twice.room().voidMl()).isCloseTo(2 * once.room().voidMl(), within(1e-6));
    assertThat(twice.water().waterMl()).isCloseTo(2 * once.water().waterMl(), within(1e-6));
    assertThat(twice.topUpMl()).isCloseTo(2 * once.topUpMl(), within(1e-6));
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void noAnswerIsBelowNothing(@Given int seed) {
    Charge charge = charger.reckon(order(seed));

    assertThat(charge.room().voidMl()).isPositive();
    assertThat(charge.room().bedMl()).isGreaterThan(charge.room().voidMl());
    assertThat(charge.topUpMl()).isNotNegative();
    assertThat(charge.water().waterMl()).isNotNegative();
    assertThat(charge.shortMl()).isNotNegative();
    assertThat(charge.levels().orElseThrow().headroomMm()).isNotNegative();
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void weightToVolumeAndBackIsTheSame(@Given int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    Kitchen kitchen = Kitchen.values()[random.nextInt(3)];
    CarrierBlend blend =
        new CarrierBlend(
            List.of(
                new CarrierBlend.Share(CATALOGUE.carrier("olive"), random.nextDouble(0.1, 5)),
                new CarrierBlend.Share(CATALOGUE.carrier("castor"), random.nextDouble(0.1, 5))));
    double grams = random.nextInt(1, 5000);

    Range ml = Amounts.oilMl(new MeasureReader(kitchen).read(grams + " g"), blend);
    double density = blend.densityAt(20);

    assertThat(ml.middle() * density).isCloseTo(grams, within(1e-9 * grams));
    assertThat(density).isBetween(0.913, 0.961);
    assertThat(Amounts.oilMl(new MeasureReader(kitchen).read(grams + " ml"), blend).middle())
        .isEqualTo(grams);
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void unitsGoThereAndBack(@Given int seed) {
    double count = 1 + Math.floorMod(seed, 40);
    MeasureReader us = new MeasureReader(Kitchen.US);

    assertThat(us.read(count * 2 + " cups").amount().middle())
        .isCloseTo(us.read(count + " pt").amount().middle(), within(1e-6 * count));
    assertThat(us.read(count * 16 + " oz").amount().middle())
        .isCloseTo(us.read(count + " lb").amount().middle(), within(1e-2 * count));
    assertThat(us.read(count * 3 + " tsp").amount().middle())
        .isCloseTo(us.read(count + " tbsp").amount().middle(), within(1e-3 * count));
    assertThat(us.read(count / 1000 + " kg").amount().middle())
        .isCloseTo(us.read(count + " g").amount().middle(), within(1e-9));
  }
}
