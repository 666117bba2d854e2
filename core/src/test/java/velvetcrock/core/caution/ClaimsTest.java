package velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;

/** Words on a label that claim to heal are questioned. */
class ClaimsTest {
  private static final Claims CLAIMS = Claims.shipped();
  private static final List<String> HERBS =
      Catalogue.shipped().herbs().stream().map(Herb::name).toList();

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Heals chapped hands",
        "for arthritis and tired knees",
        "natural remedy",
        "ANTIBACTERIAL",
        "relieves itching",
        "against eczema.",
        "pain",
        "after sunburn"
      })
  void claimsAreFound(String text) {
    assertThat(CLAIMS.in(text, HERBS)).hasSize(1);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "For the ferry crew, with love",
        "Self-heal in sunflower",
        "Paint your nails another day",
        "Scarlet label, burnet leaves",
        "a treasure of a shell",
        "",
        "For hands and heels"
      })
  void plainWordsAreNot(String text) {
    assertThat(CLAIMS.in(text, HERBS)).isEmpty();
  }

  @Test
  void eachIsNamedOnceInTheOrderInWhichItStands() {
    assertThat(CLAIMS.in("Cures wounds, cures burns", HERBS))
        .containsExactly("cures", "wounds", "burns");
  }

  @Test
  void noHerbOfTheCatalogueIsAClaimByItsName() {
    assertThat(HERBS).allSatisfy(name -> assertThat(CLAIMS.in(name, HERBS)).isEmpty());
  }
}
