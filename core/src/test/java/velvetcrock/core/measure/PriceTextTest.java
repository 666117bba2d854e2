package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Refused;

/** What somebody paid, as they say it. */
class PriceTextTest {
  private static Measure bought(String amount) {
    return new MeasureReader(Kitchen.US).readAny(amount);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "4.50          | 1 lb     | 450",
        "4,50          | 1 lb     | 450",
        "$4.50         | 1 lb     | 450",
        "4.50 $        | 1 lb     | 450",
        "£3            | 500 ml   | 300",
        "€ 3,20        | 500 ml   | 320",
        "3,20 €        | 500 ml   | 320",
        "USD 4.50      | 1 lb     | 450",
        "4.50 usd      | 1 lb     | 450",
        "free          | 1 lb     | 0",
        "3 a pound     | 2 lb     | 600",
        "$3 a pound    | 8 oz     | 150",
        "3.20 per lb   | 8 oz     | 160",
        "3/lb          | 1 lb     | 300",
        "12 per kg     | 250 g    | 300",
        "9 a litre     | 500 ml   | 450",
        "9 a liter     | 1 l      | 900",
        "2 a cup       | 3 cups   | 600",
        "5 per 100 g   | 60 g     | 300",
        "0.40 each     | 6 pods   | 240",
        "0.40 apiece   | 6 pods   | 240",
        "1.50 a piece  | 2 sticks | 300",
      })
  void whatWasPaidInAll(String said, String amount, long minor) {
    assertThat(PriceText.minor(said, bought(amount), Kitchen.US)).isEqualTo(minor);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "cheap            | not a price",
        "4.50.1           | not a price",
        "-3               | not a price",
        "123456789        | below a million",
        "3 a pint         | does not measure",
        "3 per banana     | no measure that something is priced by",
      })
  void whatIsNoPriceIsSaid(String said, String told) {
    assertThatThrownBy(() -> PriceText.minor(said, bought("1 lb"), Kitchen.US))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(told);
  }

  @Test
  void nothingIsNothingAndWithoutAnAmountItIsASum() {
    assertThat(PriceText.minor(" ", null, Kitchen.US)).isNull();
    assertThat(PriceText.minor("4.50", null, Kitchen.US)).isEqualTo(450);
    assertThatThrownBy(() -> PriceText.minor("3 a pound", null, Kitchen.US))
        .hasMessageContaining("in all");
  }

  @Test
  void nothingButItsOwnRefusalEverComesOut() {
    Random random = new Random(7);
    String[] bits = {
      "3", ".", ",", "$", "€", " ", "a", "per", "/", "lb", "each", "free", "usd", "9"
    };
    for (int i = 0; i < 20_000; i++) {
      StringBuilder said = new StringBuilder();
      for (int p = 0; p < 1 + random.nextInt(6); p++) {
        said.append(bits[random.nextInt(bits.length)]);
      }
      try {
        PriceText.minor(said.toString(), bought("1 lb"), Kitchen.US);
      } catch (Refused refused) {
        assertThat(refused.problems()).hasSize(1);
      }
    }
  }
}
