package velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.materia.Catalogue;

/** A little fat stays dissolved in much oil; half of it sets below its own melting point. */
class SettingTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static CarrierBlend blend(String fat, double percent) {
    List<CarrierBlend.Share> shares = new ArrayList<>();
    if (percent > 0) {
      shares.add(new CarrierBlend.Share(CATALOGUE.carrier(fat), percent));
    }
    if (percent < 100) {
      shares.add(new CarrierBlend.Share(CATALOGUE.carrier("olive"), 100 - percent));
    }
    return new CarrierBlend(shares);
  }

  @ParameterizedTest
  @CsvSource({"coconut, 24.5", "shea, 34", "cocoa-butter, 35", "mango-butter, 33"})
  void aFatByItselfSetsAtItsMeltingPoint(String fat, double meltsC) {
    CarrierBlend alone = blend(fat, 100);

    assertThat(alone.setsNearC()).hasValueCloseTo(meltsC, within(1e-6));
    assertThat(alone.meltedAboveC()).isCloseTo(meltsC, within(0.05));
    assertThat(alone.tooSolidAt(meltsC - 1)).isTrue();
    assertThat(alone.tooSolidAt(meltsC + 1)).isFalse();
  }

  /** SCIENCE, section 2. */
  @Test
  void aTwentiethOfCoconutStaysClearAndHalfSetsNearNineteen() {
    assertThat(blend("coconut", 5).setsNearC()).isEmpty();
    assertThat(blend("coconut", 5).tooSolidAt(10)).isFalse();
    assertThat(blend("coconut", 50).setsNearC()).hasValueCloseTo(19.0, within(0.5));
  }

  @Test
  void anOilAloneDoesNotSet() {
    assertThat(blend("coconut", 0).setsNearC()).isEmpty();
    assertThat(blend("coconut", 0).tooSolidAt(5)).isFalse();
    assertThat(blend("coconut", 0).meltedAboveC()).isEqualTo(-6);
  }

  @ParameterizedTest
  @ValueSource(strings = {"coconut", "shea", "cocoa-butter", "mango-butter"})
  void moreFatSetsWarmerAndMoreOfItIsSolid(String fat) {
    double before = Double.NEGATIVE_INFINITY;
    double solidBefore = 0;
    for (int percent = 1; percent <= 100; percent++) {
      Setting setting = new Setting(blend(fat, percent));
      double clouds = setting.cloudsC().orElse(Double.NEGATIVE_INFINITY);
      double solid = setting.solidShare(15);
      assertThat(clouds).isGreaterThanOrEqualTo(before);
      assertThat(solid).isBetween(solidBefore - 1e-6, percent / 100.0 + 0.01);
      setting.setsC().ifPresent(sets -> assertThat(sets).isLessThanOrEqualTo(clouds + 1e-6));
      before = clouds;
      solidBefore = solid;
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"coconut", "shea", "cocoa-butter", "mango-butter"})
  void warmerIsNeverMoreSolid(String fat) {
    for (int percent : new int[] {10, 30, 60, 90}) {
      Setting setting = new Setting(blend(fat, percent));
      double before = 1;
      for (double celsius = 0; celsius < 50; celsius += 0.5) {
        double solid = setting.solidShare(celsius);
        assertThat(solid).isBetween(-1e-9, before + 1e-6);
        before = solid;
      }
      assertThat(before).isCloseTo(0, within(1e-9));
    }
  }
}
