package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;

/** Rows of a mix, and ratios, as people say them. */
class RowsTest {
  private static Rows read(String... typed) {
    return Rows.read(List.of(typed), Kitchen.US, i -> "rows[" + i + "]");
  }

  @ParameterizedTest
  @CsvSource({
    "half as much, 9",
    "a third as much, 6",
    "twice as much, 36",
    "double, 36",
    "three times as much, 54",
    "1.5 times as much, 27",
    "the same, 18",
    "same again, 18",
    "as much again, 18",
    "half of that, 9",
    "'', 18",
    "20 g, 20",
  })
  void soMuchOfTheOneBefore(String second, double grams) {
    Rows rows = read("18 g", second);
    assertThat(rows.amounts()).isTrue();
    assertThat(rows.each().get(1).kind()).isEqualTo(Measure.Kind.WEIGHT);
    assertThat(rows.each().get(1).amount().middle()).isCloseTo(grams, within(1e-9));
  }

  @Test
  void figuresAndNothingAreParts() {
    Rows rows = read("2", "", "half as much", "1 part", "1½");
    assertThat(rows.parts()).isTrue();
    assertThat(rows.each())
        .extracting(m -> m.amount().middle())
        .containsExactly(2.0, 2.0, 1.0, 1.0, 1.5);
    assertThat(read("", "").each()).allSatisfy(m -> assertThat(m.amount().middle()).isEqualTo(1));
  }

  @Test
  void fiveQuartersOfACupAreFiveAmounts() {
    Rows rows = read("1/4 cup", "a quarter cup", "¼ c", "quarter of a cup each", "the same");
    assertThat(rows.each())
        .allSatisfy(m -> assertThat(m.amount().middle()).isCloseTo(59.147, within(0.001)));
  }

  @Test
  void partsAndAmountsDoNotMixAndTheRowIsNamed() {
    assertThatThrownBy(() -> read("18 g", "2"))
        .isInstanceOfSatisfying(
            Refused.class,
            r -> {
              assertThat(r.problems())
                  .singleElement()
                  .satisfies(p -> assertThat(p.field()).isEqualTo("rows[1]"));
              assertThat(r.getMessage()).contains("half as much");
            });
  }

  @Test
  void everyRowThatCannotBeReadIsNamed() {
    assertThatThrownBy(() -> read("half as much", "three bananas", "20 mm"))
        .isInstanceOfSatisfying(
            Refused.class,
            r ->
                assertThat(r.problems())
                    .extracting(p -> p.field())
                    .containsExactly("rows[0]", "rows[1]", "rows[2]"));
  }

  @ParameterizedTest
  @CsvSource({
    "5, 5",
    "1:5, 5",
    "1 : 5, 5",
    "1 to 5, 5",
    "one to five, 5",
    "one part to two, 2",
    "1 part to 2 parts, 2",
    "2:10, 5",
    "1:7.5, 7.5",
    "'1:7,5', 7.5",
    "1 in 10, 10",
    "one part herb to five parts oil, 5",
    "1/4, 4",
    "21.545, 21.545",
    "1:1.250, 1.25",
  })
  void aRatioAsItIsSaid(String said, double oil) {
    assertThat(RatioText.read(said, 1000)).isCloseTo(oil, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "much", "1:", ":", "1:2:3", "-2", "1:0", "60 g", "1:5000", "0"})
  void whatIsNoRatioIsRefused(String said) {
    assertThatThrownBy(() -> RatioText.read(said, 1000)).isInstanceOf(Refused.class);
  }
}
