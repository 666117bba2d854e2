package velvetcrock.core.yield;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;

class StrainerTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static List<HerbPortion> yarrow(Cut cut) {
    return List.of(
        HerbPortion.usual(CATALOGUE.herb("yarrow"), Part.FLOWER, cut, HerbState.DRIED, 60));
  }

  @Test
  void squeezedByHandTheMarcKeepsOneAndAHalfTimesItsDryMatter() {
    Yield yield = Strainer.predict(600, yarrow(Cut.CUT), Expression.SQUEEZE);

    assertThat(yield.keptByMarcMl()).isCloseTo(81, within(0.001));
    assertThat(yield.filmMl()).isCloseTo(9, within(0.001));
    assertThat(yield.yieldMl()).isCloseTo(510, within(0.001));
    assertThat(yield.rangeMl().high() - yield.yieldMl()).isCloseTo(81 * 0.3695, within(0.05));
  }

  @Test
  void wholeFlowersAndPowderKeepMore() {
    assertThat(Strainer.predict(600, yarrow(Cut.WHOLE), Expression.SQUEEZE).keptByMarcMl())
        .isCloseTo(89.1, within(0.001));
    assertThat(Strainer.predict(600, yarrow(Cut.POWDER), Expression.SQUEEZE).keptByMarcMl())
        .isCloseTo(101.25, within(0.001));
  }

  @ParameterizedTest
  @EnumSource(Expression.class)
  void nothingNegativeComesOutOfTooLittleOil(Expression expression) {
    Yield yield = Strainer.predict(20, yarrow(Cut.CUT), expression);

    assertThat(yield.yieldMl()).isNotNegative();
    assertThat(yield.rangeMl().low()).isNotNegative();
  }

  @Test
  void noOilIsRefused() {
    assertThatThrownBy(() -> Strainer.predict(0, yarrow(Cut.CUT), Expression.DRIP))
        .hasMessageContaining("oilMl");
  }

  /** One odd lesson about squeezing does not make it leave more behind than dripping. */
  @ParameterizedTest
  @InstancioSource(samples = 200)
  void whateverWasLearnedPressingLeavesLeastAndDrippingMost(int a, int b, int c, int count) {
    List<Retention.Own> odd = new ArrayList<>();
    for (int i = 0; i < 1 + Math.abs(count % 9); i++) {
      odd.add(new Retention.Own(Part.LEAF, Expression.DRIP, Math.abs(a % 100) / 20.0));
      odd.add(new Retention.Own(Part.LEAF, Expression.SQUEEZE, Math.abs(b % 100) / 20.0));
      odd.add(new Retention.Own(Part.LEAF, Expression.PRESS, Math.abs(c % 100) / 20.0));
    }
    double before = Double.MAX_VALUE;
    for (Expression way : Expression.values()) {
      Retention retention = Retention.of(Part.LEAF, way, odd);
      assertThat(retention.mlPerG()).isLessThanOrEqualTo(before + 1e-9);
      assertThat(retention.range().low()).isLessThanOrEqualTo(retention.mlPerG());
      before = retention.mlPerG();
    }
  }

  @Test
  void lessonsInOrderAreLeftAsTheyAre() {
    List<Retention.Own> one = List.of(new Retention.Own(Part.LEAF, Expression.SQUEEZE, 1.9));

    assertThat(Retention.of(Part.LEAF, Expression.SQUEEZE, one).mlPerG())
        .isCloseTo((3 * 1.5 + 1.9) / 4, within(1e-9));
    assertThat(Retention.of(Part.LEAF, Expression.DRIP, one).mlPerG()).isCloseTo(2.4, within(1e-9));
  }
}
