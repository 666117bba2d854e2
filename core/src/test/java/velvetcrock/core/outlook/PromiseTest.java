package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/** What may be promised of an oil that nobody has made yet: a clock dries nothing. */
class PromiseTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 2);
  private static final Jar CROCK = new Jar("crock", "Crock", 1500, 160);
  private static final Jar NARROW = new Jar("narrow", "Narrow", 1000, 60);

  private static Promise promise(
      HerbState state, double celsius, double hours, boolean spirit, Jar jar, Use use) {
    return WhatIf.of(
            new WhatIf.Setting(
                HerbPortion.usual(
                    CATALOGUE.herb("calendula"), Part.FLOWER, Cut.CUT, state, spirit ? 40 : 60),
                List.of(new CarrierDates(CATALOGUE.carrier("olive"), 1, null, null, null)),
                8,
                celsius,
                hours,
                Agitation.DAILY,
                Light.DARK,
                spirit,
                Optional.of(jar),
                use,
                TODAY),
            CATALOGUE,
            List.of())
        .at()
        .keeps();
  }

  @ParameterizedTest
  @CsvSource({
    // state, °C, h, spirit, in a wide crock, can leave in a narrow jar
    "DRIED,  20, 840, false, NONE, NONE",
    "DRIED,  65,  12, false, NONE, NONE",
    "DRIED,  30, 168, true,  CAN_LEAVE, CAN_LEAVE",
    "FRESH,  20, 840, false, STAYS, STAYS",
    "FRESH,  34,  48, false, STAYS, STAYS",
    "FRESH,  43,  12, false, CAN_LEAVE, STAYS",
    "FRESH,  65,  12, false, CAN_LEAVE, CAN_LEAVE",
    "FRESH,  80,   1, false, CAN_LEAVE, STAYS",
    "WILTED, 65,   1, false, CAN_LEAVE, STAYS",
    "WILTED, 20, 840, false, STAYS, STAYS",
  })
  void waterLeavesWhereTheHeatAndTheHoursAndTheVesselCanDriveItOff(
      HerbState state,
      double celsius,
      double hours,
      boolean spirit,
      Promise.Water wide,
      Promise.Water narrow) {
    assertThat(promise(state, celsius, hours, spirit, CROCK, Use.SKIN).water()).isEqualTo(wide);
    assertThat(promise(state, celsius, hours, spirit, NARROW, Use.SKIN).water()).isEqualTo(narrow);
  }

  @Test
  void untilItIsShownDryItKeepsFourteenDaysInTheFridge() {
    Promise crock = promise(HerbState.FRESH, 65, 12, false, CROCK, Use.SKIN);
    Promise dried = promise(HerbState.DRIED, 65, 12, false, CROCK, Use.SKIN);

    assertThat(crock.toBeShown()).isTrue();
    assertThat(crock.sureDays()).isEqualTo(14);
    assertThat(crock.onceDry()).isEqualTo(dried.onceDry());
    assertThat(dried.toBeShown()).isFalse();
    assertThat(dried.bestBefore()).isEqualTo(dried.onceDry());
  }

  @Test
  void forEatingNothingIsDrivenOff() {
    Promise warm = promise(HerbState.FRESH, 65, 12, false, CROCK, Use.KITCHEN);

    assertThat(warm.water()).isEqualTo(Promise.Water.STAYS);
    assertThat(warm.sureDays()).isZero();
    assertThat(warm.dryDays()).isZero();
  }

  @ParameterizedTest
  @InstancioSource(samples = 500)
  void whatHoldsForSureIsNeverLongerThanWhatHoldsOnceDry(@Given int seed) {
    HerbState state = HerbState.values()[Math.floorMod(seed, HerbState.values().length)];
    double celsius = Math.floorMod(seed / 7, 100);
    double hours = 0.5 + Math.floorMod(seed / 11, 1300);
    Use use = Use.values()[Math.floorMod(seed / 13, Use.values().length)];
    Promise keeps = promise(state, celsius, hours, seed % 2 == 0, CROCK, use);

    assertThat(keeps.sureDays()).isLessThanOrEqualTo(keeps.dryDays());
    assertThat(keeps.toBeShown() || keeps.sureDays() == keeps.dryDays()).isTrue();
    if (keeps.water() != Promise.Water.NONE) {
      assertThat(keeps.sureDays()).isLessThanOrEqualTo(14);
    }
  }

  /** The comparison by JSON and on the bench and the what-if decide by this one rule. */
  @ParameterizedTest
  @CsvSource({"WARM", "CROCK", "SIMMER", "COLD", "SPIRIT"})
  void whatIfAndComparisonPromiseTheSame(Method method) {
    for (HerbState state : HerbState.values()) {
      Way way =
          Comparison.of(
                  new PlanOrder(
                      new Want.Oil(300),
                      TODAY.plusDays(60),
                      CATALOGUE.herb("calendula"),
                      Part.FLOWER,
                      state,
                      Cut.CUT,
                      List.of(new CarrierDates(CATALOGUE.carrier("olive"), 1, null, null, null)),
                      List.of(method),
                      OptionalDouble.of(8),
                      Purpose.SKIN,
                      TODAY),
                  CATALOGUE,
                  Cautions.shipped())
              .ways()
              .get(0);
      double bearsC = CATALOGUE.herb("calendula").handling().drawing().ceilingC();
      Infusion infusion = Infusion.of(method, way.hours(), bearsC);
      WhatIf tried =
          WhatIf.of(
              new WhatIf.Setting(
                  HerbPortion.usual(
                      CATALOGUE.herb("calendula"), Part.FLOWER, Cut.CUT, state, way.herbMassG()),
                  List.of(new CarrierDates(CATALOGUE.carrier("olive"), 1, null, null, null)),
                  8,
                  infusion.celsius(),
                  way.hours(),
                  Agitation.DAILY,
                  Light.DARK,
                  method == Method.SPIRIT,
                  Optional.empty(),
                  Use.SKIN,
                  TODAY),
              CATALOGUE,
              List.of());

      assertThat(tried.at().keeps().water()).isEqualTo(way.keeps().water());
      assertThat(tried.at().keeps().sureDays()).isEqualTo(way.keeps().sureDays());
    }
  }
}
