package velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Allergens have one list: what a carrier brings and what can be said of one's own. */
class AllergenTest {
  @Test
  void everyCarrierBringsOneThatIsListedOrNone() {
    assertThat(Catalogue.shipped().carriers())
        .allSatisfy(
            carrier ->
                assertThat(carrier.allergen().isEmpty() ? "tree nut" : carrier.allergen())
                    .as(carrier.key())
                    .isIn(Allergen.names()));
  }

  @Test
  void theirNamesAreNotTwice() {
    assertThat(Allergen.names()).doesNotHaveDuplicates().contains("peanut", "daisy family");
  }
}
