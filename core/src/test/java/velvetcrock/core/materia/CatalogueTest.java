package velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Cautions;

class CatalogueTest {
  private final Catalogue catalogue = Catalogue.shipped();

  @Test
  void shipsEveryHerbAndCarrierThatIsPromised() {
    Set<String> herbs = catalogue.herbs().stream().map(Herb::key).collect(Collectors.toSet());
    assertThat(herbs)
        .hasSizeGreaterThanOrEqualTo(120)
        .contains(
            "yarrow", "comfrey-root", "st-johns-wort", "scots-pine-bud", "rosehip-shell", "garlic")
        .contains(
            "agrimony", "alkanet-root", "beet", "frankincense", "lemon-peel", "liquorice-root")
        .contains("propolis", "raspberry-leaf", "saffron", "usnea", "witch-hazel", "wormwood");
    assertThat(catalogue.carriers()).hasSizeGreaterThanOrEqualTo(30);
    assertThat(catalogue.waxes()).hasSize(4);
    assertThat(catalogue.essentialOils()).hasSizeGreaterThanOrEqualTo(20);
    assertThat(catalogue.jars()).hasSize(27);
  }

  @Test
  void everyCautionOfAHerbOrCarrierIsWritten() {
    Cautions cautions = Cautions.shipped();
    catalogue
        .herbs()
        .forEach(herb -> assertThat(cautions.of(herb.cautions())).hasSameSizeAs(herb.cautions()));
    catalogue.carriers().stream()
        .filter(c -> !c.allergen().isEmpty())
        .forEach(c -> assertThat(cautions.of(c.allergen().replace(' ', '-')).text()).isNotBlank());
  }

  @Test
  void anUnknownKeyIsNamed() {
    assertThatThrownBy(() -> catalogue.herb("foxglove"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("foxglove");
  }

  @Test
  void aRowThatCannotBeTrueIsNamedByFileAndLine() {
    Problems problems = new Problems();
    CatalogueFile.read(CatalogueTest.class, "broken.csv", problems, CatalogueRows::jar, Jar::key);

    assertThat(problems.found()).hasSize(2);
    assertThat(problems.found().get(0).field()).isEqualTo("broken.csv line 4");
    assertThat(problems.found().get(0).message()).contains("5.0");
    assertThat(problems.found().get(1).message()).contains("twice");
  }

  @Test
  void aJarIsMeasuredWithWater() {
    Jar jar = Jar.measured("own", "Crock", 530, 105.44, Jar.Shape.JAR);

    assertThat(jar.innerDiameterMm()).isBetween(79.9, 80.1);
    assertThat(jar.brimMm()).isBetween(105.4, 105.5);
    assertThatThrownBy(() -> Jar.measured("own", "Crock", 0, 100, Jar.Shape.JAR))
        .hasMessageContaining("water");
  }

  @Test
  void oilThinsOutInTheWarmth() {
    Carrier olive = catalogue.carrier("olive");
    assertThat(olive.densityAt(20)).isEqualTo(0.913);
    assertThat(olive.densityAt(40)).isLessThan(olive.densityAt(20));
    assertThat(catalogue.carrier("hemp").opensForMonths()).isEqualTo(6);
  }

  @Test
  void everyHerbSaysHowItLikesToBeDrawnAndWhy() {
    assertThat(catalogue.herb("calendula").handling().drawing()).isEqualTo(Drawing.WARM);
    assertThat(catalogue.herb("calendula").handling().why()).contains("resin");
    assertThat(catalogue.herb("st-johns-wort").handling().bestState()).isEqualTo(HerbState.WILTED);
    assertThat(catalogue.herb("rose").handling().drawing().ceilingC()).isEqualTo(60);
    assertThat(Pieces.shipped().eachG(catalogue.herb("cinnamon"), "stick", null))
        .isEqualTo(new Range(3, 6));
  }

  @Test
  void aHouseholdAddsItsOwnAndOverridesAFigure() {
    Carrier shipped = catalogue.carrier("olive");
    Jar crock = new Jar("crock", "Grandmother’s crock", 2400, 160);
    Wax own = new Wax("beeswax", "Our wax", 0.96, 0.83, 0.5, new Range(0.4, 0.6), 63, 94, "tested");

    Catalogue ours =
        catalogue.with(
            new Additions(
                List.of(), List.of(), List.of(own), List.of(), List.of(), List.of(crock)));

    assertThat(ours.jar("crock")).isEqualTo(crock);
    assertThat(ours.wax("beeswax").hardness()).isEqualTo(94);
    assertThat(ours.carrier("olive")).isEqualTo(shipped);
    assertThat(catalogue.wax("beeswax").hardness()).isEqualTo(100);
    assertThatThrownBy(() -> catalogue.jar("crock")).isInstanceOf(Refused.class);
  }

  @ParameterizedTest
  @CsvSource({"olive, 20, 84", "olive, 40, 39", "castor, 20, 986", "shea, 40, 40"})
  void viscosityRunsThroughItsTwoKnownValues(String key, double celsius, double mPas) {
    assertThat(catalogue.carrier(key).viscosityAt(celsius)).isCloseTo(mPas, within(1e-9 * mPas));
  }
}
