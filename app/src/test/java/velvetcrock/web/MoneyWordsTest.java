package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;

/** Money says what is missing; nothing costs “over 0.00”. */
class MoneyWordsTest {
  private static final Formats US =
      new Formats(
          Units.usual(Kitchen.US),
          Customs.usual(Locale.US),
          ZoneId.of("America/New_York"),
          Instant.parse("2026-11-28T14:05:00Z"));

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "410 | ''   | ''                    | $4.10",
        "410 | each | ''                    | $4.10 each",
        "410 | each | herb                  | $4.10 each; herb without a price",
        "410 | ''   | yarrow,olive          | $4.10; yarrow and olive without a price",
        "410 | ''   | yarrow,olive,beeswax  | $4.10; yarrow, olive and beeswax without a price",
        "0   | each | herb                  | herb without a price",
        "0.4 | each | herb                  | herb without a price",
      })
  void whatItCostsAndWhatHasNoPrice(double minor, String what, String missing, String said) {
    List<String> unpriced = missing.isEmpty() ? List.of() : Arrays.asList(missing.split(","));
    assertThat(MoneyWords.cost(minor, what, unpriced, US)).isEqualTo(said);
  }
}
