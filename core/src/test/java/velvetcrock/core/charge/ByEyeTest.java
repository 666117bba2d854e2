package velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.ByEye.Filling;
import velvetcrock.core.charge.ByEye.Packing;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;

class ByEyeTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Jar HALF_LITRE = CATALOGUE.jar("jar-500");
  private static final Filling CUT_YARROW =
      new Filling(CATALOGUE.herb("yarrow"), Part.FLOWER, Cut.CUT, HerbState.DRIED);
  private static final List<Filling> ONE = List.of(CUT_YARROW);

  @Test
  void aJarHalfFullOfCutFlowersHoldsAboutTwentyGrams() {
    ByEye byEye = ByEye.ofShares(HALF_LITRE, ONE, Packing.UNSAID, 0.5, 0.92, CATALOGUE);

    assertThat(byEye.herbMassG().low()).isCloseTo(13.25, within(0.01));
    assertThat(byEye.herbMassG().high()).isCloseTo(26.5, within(0.01));
    assertThat(byEye.oilMl().high()).isCloseTo(487.6 - 13.25 / 1.4, within(0.1));
    assertThat(byEye.oilMl().low()).isCloseTo(487.6 - 26.5 / 1.4, within(0.1));
  }

  @Test
  void sayingHowItIsPackedHalvesTheDoubt() {
    Range unsaid = ByEye.ofShares(HALF_LITRE, ONE, Packing.UNSAID, 0.5, 0.9, CATALOGUE).herbMassG();
    Range loose = ByEye.ofShares(HALF_LITRE, ONE, Packing.LOOSE, 0.5, 0.9, CATALOGUE).herbMassG();
    Range packed = ByEye.ofShares(HALF_LITRE, ONE, Packing.PACKED, 0.5, 0.9, CATALOGUE).herbMassG();

    assertThat(loose.low()).isEqualTo(unsaid.low());
    assertThat(packed.high()).isEqualTo(unsaid.high());
    assertThat(loose.high()).isCloseTo(packed.low(), within(1e-9));
  }

  @Test
  void aBlendByEyeSharesTheLayerByItsParts() {
    Filling leaf = new Filling(CATALOGUE.herb("self-heal"), Part.LEAF, Cut.CUT, HerbState.DRIED, 3);

    ByEye byEye =
        ByEye.ofShares(HALF_LITRE, List.of(CUT_YARROW, leaf), Packing.UNSAID, 0.5, 0.9, CATALOGUE);

    assertThat(byEye.eachG().get(0).low()).isCloseTo(13.25 / 4, within(0.01));
    assertThat(byEye.eachG().get(1).low()).isCloseTo(13.25 * 1.2 * 3 / 4, within(0.01));
    assertThat(byEye.herbMassG().high())
        .isCloseTo(byEye.eachG().get(0).high() + byEye.eachG().get(1).high(), within(1e-9));
  }

  @Test
  void depthsAndSharesSayTheSame() {
    double brim = HALF_LITRE.brimMm();

    assertThat(
            ByEye.ofLayers(HALF_LITRE, ONE, Packing.UNSAID, brim / 2, brim / 4, CATALOGUE)
                .herbMassG())
        .isEqualTo(
            ByEye.ofShares(HALF_LITRE, ONE, Packing.UNSAID, 0.5, 0.75, CATALOGUE).herbMassG());
  }

  @Test
  void moreThanTheJarHoldsIsRefusedAtItsField() {
    assertThatThrownBy(() -> ByEye.ofShares(HALF_LITRE, ONE, Packing.UNSAID, 0.6, 0.5, CATALOGUE))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("aboveMm");
    assertThatThrownBy(() -> ByEye.ofShares(HALF_LITRE, ONE, Packing.UNSAID, 1.2, 1.3, CATALOGUE))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("herbMm");
  }

  @Test
  void aSlurryCountsAsGroundAndLeavesThreePercentInTheBlender() {
    HerbPortion herb =
        HerbPortion.usual(CUT_YARROW.herb(), Part.FLOWER, Cut.CUT, HerbState.DRIED, 100);
    ChargeOrder order =
        new ChargeOrder(
            List.of(herb),
            CarrierBlend.of(CATALOGUE.carrier("olive")),
            new Ratio.Oil(600),
            Optional.of(HALF_LITRE),
            12);

    ChargeOrder blended = order.blended();

    assertThat(blended.herbMassG()).isCloseTo(97, within(1e-9));
    assertThat(blended.herbs().get(0).cut()).isEqualTo(Cut.GROUND);
    assertThat(new Charger(CATALOGUE).reckon(blended).oilMl()).isCloseTo(582, within(1e-9));
  }

  @Test
  void aMixtureOfSolidAndLiquidSetsBelowTheMeltingPointOfItsSolids() {
    CarrierBlend balm =
        new CarrierBlend(
            List.of(
                new CarrierBlend.Share(CATALOGUE.carrier("olive"), 2),
                new CarrierBlend.Share(CATALOGUE.carrier("coconut"), 1),
                new CarrierBlend.Share(CATALOGUE.carrier("cocoa-butter"), 1)));

    assertThat(balm.setsNearC()).hasValueCloseTo(26.3, within(0.1));
    assertThat(balm.meltedAboveC()).isBetween(15.0, 26.0);
    assertThat(CarrierBlend.of(CATALOGUE.carrier("olive")).setsNearC()).isEmpty();
  }

  @Test
  void aFreshHerbPacksAsFreshWhateverItsWater() {
    HerbPortion fresh =
        new HerbPortion(CATALOGUE.herb("yarrow"), Part.FLOWER, Cut.CUT, HerbState.FRESH, 100, 0.75);
    Charge charge =
        new Charger(CATALOGUE)
            .reckon(
                new ChargeOrder(
                    List.of(fresh),
                    CarrierBlend.of(CATALOGUE.carrier("olive")),
                    new Ratio.WeightToVolume(5),
                    Optional.empty(),
                    12));

    assertThat(charge.room().bedMl()).isCloseTo(400, within(1e-9));
    assertThat(charge.room().voidMl()).isCloseTo(100 * (4 - 0.25 / 1.4 - 0.75), within(1e-9));
  }
}
