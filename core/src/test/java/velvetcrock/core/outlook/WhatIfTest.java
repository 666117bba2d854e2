package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;

class WhatIfTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static WhatIf of(String carrier, Cut cut, double ratio, double celsius, double hours) {
    return WhatIf.of(
        new WhatIf.Setting(
            HerbPortion.usual(CATALOGUE.herb("yarrow"), Part.LEAF, cut, HerbState.DRIED, 60),
            List.of(new CarrierDates(CATALOGUE.carrier(carrier), 1, null, null, null)),
            ratio,
            celsius,
            hours,
            Agitation.DAILY,
            Light.DARK,
            false,
            Optional.of(new Jar("litre", "Litre", 1040, 95)),
            Use.SKIN,
            LocalDate.of(2026, 11, 2)),
        CATALOGUE,
        List.of());
  }

  @Test
  void theAnchorLiesOnTheCurve() {
    WhatIf cold = of("olive", Cut.CUT, 8, 20, 35 * 24);

    assertThat(cold.at().pull()).isCloseTo(0.90, within(0.005));
    assertThat(cold.at().spentDays()).isCloseTo(35, within(1e-9));
    assertThat(cold.curve()).hasSize(48);
    assertThat(cold.curve().get(0).hours()).isEqualTo(0.5);
    assertThat(cold.curve().get(47).hours()).isCloseTo(56 * 24, within(1e-6));
  }

  @Test
  void moreOilCoversAndAHerbThatDrinksLeavesLess() {
    WhatIf little = of("olive", Cut.CUT, 5, 20, 35 * 24);
    WhatIf more = of("olive", Cut.CUT, 12, 20, 35 * 24);

    assertThat(little.charge().covers()).isFalse();
    assertThat(more.charge().covers()).isTrue();
    assertThat(more.yieldMl()).isGreaterThan(little.yieldMl());
  }

  @Test
  void aSolidFatDrawsNothingUntilItMelts() {
    assertThat(of("coconut", Cut.CUT, 8, 20, 48).solid()).isTrue();
    assertThat(of("coconut", Cut.CUT, 8, 20, 48).at().pull()).isZero();
    assertThat(of("coconut", Cut.CUT, 8, 45, 48).at().pull()).isPositive();
  }

  /** What is left of the keeping begins where the headline does: by every rule, caps and all. */
  @Test
  void theCurveOfKeepingIsCutByTheSameCapsAsTheHeadline() {
    for (double celsius : new double[] {16, 20, 43, 65, 80}) {
      WhatIf tried = of("jojoba", Cut.CUT, 8, celsius, 24);
      assertThat(tried.at().keepsDays()).isLessThanOrEqualTo(366);
      assertThat(tried.curve())
          .allSatisfy(point -> assertThat(point.keepsDays()).isLessThanOrEqualTo(366));
      WhatIf.Point near =
          tried.curve().stream()
              .min((a, b) -> Double.compare(Math.abs(a.hours() - 24), Math.abs(b.hours() - 24)))
              .orElseThrow();
      assertThat((double) tried.at().keepsDays()).isCloseTo(near.keepsDays(), within(8.0));
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 40)
  void longerPullsMoreAndSpendsMore(@Given int warmth) {
    List<WhatIf.Point> curve = of("olive", Cut.GROUND, 8, Math.floorMod(warmth, 100), 24).curve();

    for (int i = 1; i < curve.size(); i++) {
      assertThat(curve.get(i).pull()).isGreaterThanOrEqualTo(curve.get(i - 1).pull());
      assertThat(curve.get(i).spentDays()).isGreaterThan(curve.get(i - 1).spentDays());
      assertThat(curve.get(i).leftDays()).isLessThanOrEqualTo(curve.get(i - 1).leftDays());
      assertThat(curve.get(i).keepsDays()).isLessThanOrEqualTo(curve.get(i - 1).keepsDays());
    }
  }

  @Test
  void whatLiesOutsideIsRefused() {
    assertThatThrownBy(() -> of("olive", Cut.CUT, 8, 20, 0.1)).hasMessageContaining("hours:");
    assertThatThrownBy(() -> of("olive", Cut.CUT, 8, 300, 5)).hasMessageContaining("celsius:");
    assertThatThrownBy(() -> of("olive", Cut.CUT, 0, 20, 5)).hasMessageContaining("oilPerHerb:");
  }
}
