package velvetcrock.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BalmKeepingTest {
  private static final LocalDate MADE = LocalDate.of(2026, 11, 1);

  @ParameterizedTest
  @CsvSource({
    "2027-06-01, false, COOL, 2027-06-01",
    "2028-06-01, false, COOL, 2027-11-01",
    "2028-06-01, true, FRIDGE, 2026-11-15",
    "2026-11-05, true, FRIDGE, 2026-11-05",
    "2028-06-01, true, ROOM, 2026-11-01"
  })
  void aBalmKeepsAsItsOilAndHardlyAtAllWithWater(
      LocalDate oil, boolean wet, Store.Place place, LocalDate expected) {
    BalmKeeping keeping = BalmKeeping.of(MADE, oil, wet ? Wetness.WET : Wetness.DRY, place);

    assertThat(keeping.bestBefore()).isEqualTo(expected);
    assertThat(keeping.why()).isNotBlank();
  }

  @org.junit.jupiter.api.Test
  void anOilPastItsDateMakesNoBalm() {
    assertThatThrownBy(() -> BalmKeeping.of(MADE, MADE.minusDays(1), Wetness.DRY, Store.Place.COOL))
        .hasMessageContaining("oilBestBefore");
  }

  /** Honey is not water: a little of it is good for three months, cool. */
  @Test
  void aLittleHoneyLeavesThreeMonths() {
    BalmKeeping keeping =
        BalmKeeping.of(MADE, MADE.plusYears(1), Wetness.LITTLE_HONEY, Store.Place.COOL);

    assertThat(keeping.bestBefore()).isEqualTo(MADE.plusMonths(3));
    assertThat(keeping.why()).contains("honey");
  }
}
