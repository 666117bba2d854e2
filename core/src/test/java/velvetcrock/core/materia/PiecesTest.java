package velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;

/** A head and a clove, a leaf and a sprig, a fresh and a dried pepper weigh differently. */
class PiecesTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Pieces PIECES = Pieces.shipped();

  @ParameterizedTest
  @CsvSource({
    "garlic, 1 head, FRESH, 35, 70",
    "garlic, 1 bulb, FRESH, 35, 70",
    "garlic, 2 cloves, FRESH, 6, 14",
    "garlic, 2 cloves, , 6, 14",
    "garlic, 2 pieces, , 6, 14",
    "rosemary, 3 sprigs, DRIED, 1.5, 4.5",
    "rosemary, 3 sprigs, FRESH, 4.5, 13.5",
    "rosemary, 3 sprigs, WILTED, 4.5, 13.5",
    "rosemary, 100 leaves, FRESH, 1, 3",
    "juniper-berry, 10 berries, DRIED, 0.8, 2",
    "cayenne, 2 to 3 peppers, DRIED, 1.2, 4.5",
    "cayenne, 2 chillies, FRESH, 8, 28",
    "horse-chestnut, a dozen conkers, DRIED, 72, 180",
    "cinnamon, a quill, , 3, 6",
  })
  void theNounAndTheStateDecide(
      String herb, String typed, HerbState state, double low, double high) {
    Measure count = new MeasureReader(Kitchen.METRIC).readAny(typed.replace("a dozen", "twelve"));
    assertThat(count.kind()).isEqualTo(Measure.Kind.COUNT);
    Range mass = Amounts.pieces(count, CATALOGUE.herb(herb), state);

    assertThat(mass.low()).isCloseTo(low, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(mass.high()).isCloseTo(high, org.assertj.core.api.Assertions.within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "garlic, sprig, FRESH, Understood: clove",
    "cinnamon, clove, DRIED, Understood: stick (dried)",
    "cinnamon, stick, FRESH, is not understood of fresh",
    "yarrow, leaf, DRIED, Nobody counts yarrow",
  })
  void whatIsNotOfThisHerbIsRefusedWithWhatIs(
      String herb, String noun, HerbState state, String said) {
    assertThatThrownBy(() -> PIECES.eachG(CATALOGUE.herb(herb), noun, state))
        .hasMessageContaining("text:")
        .hasMessageContaining(said);
  }

  @Test
  void twoKindsOfThingsAreNotAddedUp() {
    assertThatThrownBy(() -> new MeasureReader(Kitchen.US).readAny("2 heads and 3 cloves"))
        .hasMessageContaining("two kinds");
  }

  @Test
  void aHeadWeighsMoreThanACloveAndFreshMoreThanDried() {
    for (Herb herb : CATALOGUE.herbs()) {
      for (String noun : new String[] {"leaf", "sprig", "head", "root", "berry", "pepper"}) {
        Range fresh = orNull(herb, noun, HerbState.FRESH);
        Range dried = orNull(herb, noun, HerbState.DRIED);
        if (fresh != null && dried != null) {
          assertThat(fresh.middle()).as(herb.key() + " " + noun).isGreaterThan(dried.middle());
        }
      }
    }
  }

  private static Range orNull(Herb herb, String noun, HerbState state) {
    try {
      return PIECES.eachG(herb, noun, state);
    } catch (velvetcrock.core.Refused refused) {
      return null;
    }
  }
}
