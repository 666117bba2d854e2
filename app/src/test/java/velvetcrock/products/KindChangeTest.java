package velvetcrock.products;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.products.NewProductForm.Row;

/** Another kind keeps what still makes sense. */
class KindChangeTest {
  private static final List<Row> SALVE =
      List.of(new Row("bottle:T4T-A", "120 ml"), new Row("wax:beeswax", "14 g"));

  private static List<String> things(List<Row> rows) {
    return rows.stream().map(Row::thing).toList();
  }

  @ParameterizedTest
  @CsvSource({"SALVE, FIRM_BALM", "SALVE, STICK", "OINTMENT, LOTION_BAR", "STICK, POMADE"})
  void whatSetsByWaxKeepsAllOfIt(String was, String is) {
    assertThat(KindChange.rows(SALVE, was, is)).isEqualTo(SALVE);
  }

  @ParameterizedTest
  @CsvSource({"SALVE, MASSAGE_OIL", "SALVE, BATH_OIL", "STICK, DRAWN"})
  void whatStaysLiquidLeavesTheWaxOut(String was, String is) {
    assertThat(KindChange.rows(SALVE, was, is)).containsExactly(SALVE.get(0));
  }

  @Test
  void anOilAloneIsNotWhippedAndWhatHasButterStaysAsItIs() {
    assertThat(KindChange.rows(SALVE, "SALVE", "WHIPPED_BUTTER")).isEmpty();
    List<Row> withButter = List.of(SALVE.get(0), new Row("carrier:shea", "60 g"));
    assertThat(KindChange.rows(withButter, "MASSAGE_OIL", "WHIPPED_BUTTER")).isEqualTo(withButter);
  }

  @Test
  void waxComesBackToWhatNeedsIt() {
    assertThat(things(KindChange.rows(List.of(SALVE.get(0)), "MASSAGE_OIL", "SALVE")))
        .containsExactly("bottle:T4T-A", "wax:beeswax");
    assertThat(things(KindChange.rows(SALVE, "SALVE", "COMPRESS_PADS")))
        .contains("carrier:coconut");
  }

  @ParameterizedTest
  @CsvSource({"SALVE, POULTICE", "POULTICE, SALVE", "SALVE, NOTHING", "'', SALVE"})
  void nothingOfItMakesSenseInAPoulticeAndBack(String was, String is) {
    assertThat(KindChange.rows(SALVE, was, is)).isEmpty();
  }
}
