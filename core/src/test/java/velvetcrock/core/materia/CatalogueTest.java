package velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Cautions;

class CatalogueTest {
  private final Catalogue catalogue = Catalogue.shipped();

  @Test
  void shipsEveryHerbAndCarrierThatIsPromised() {
    Set<String> herbs = catalogue.herbs().stream().map(Herb::key).collect(Collectors.toSet());
    assertThat(herbs)
        .hasSizeGreaterThanOrEqualTo(43)
        .contains(
            "yarrow", "comfrey-root", "st-johns-wort", "scots-pine-bud", "rosehip-shell", "garlic");
    assertThat(catalogue.carriers()).hasSize(21);
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
    Jar jar = Jar.measured("own", "Crock", 530, 105.44);

    assertThat(jar.innerDiameterMm()).isBetween(79.9, 80.1);
    assertThat(jar.brimMm()).isBetween(105.4, 105.5);
    assertThatThrownBy(() -> Jar.measured("own", "Crock", 0, 100)).hasMessageContaining("water");
  }

  @Test
  void oilThinsOutInTheWarmth() {
    Carrier olive = catalogue.carrier("olive");
    assertThat(olive.densityAt(20)).isEqualTo(0.913);
    assertThat(olive.densityAt(40)).isLessThan(olive.densityAt(20));
    assertThat(catalogue.carrier("grapeseed").opensForMonths()).isEqualTo(6);
  }
}
