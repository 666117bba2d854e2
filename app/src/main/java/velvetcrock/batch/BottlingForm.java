package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.web.Forms;

/**
 * A bottling as typed: a row for bottles that are alike, empty ones passed over.
 *
 * @param count how many there are of a row; empty for one
 * @param amount what goes into each bottle
 * @param size what each bottle holds; empty for as much as goes in
 * @param placeOf where each stands, if not where the others do
 * @param glassOf its glass, if not that of the others
 * @param clean set when the bottles were said to be clean and dry
 * @param cold set when they were capped fully cool
 * @param key names the bottling
 */
record BottlingForm(
    @Nullable List<String> count,
    @Nullable List<String> amount,
    @Nullable List<String> size,
    @Nullable List<String> placeOf,
    @Nullable List<String> glassOf,
    @Nullable String place,
    @Nullable String glass,
    @Nullable String antioxidant,
    @Nullable String clean,
    @Nullable String cold,
    @Nullable String key) {
  static BottlingForm empty() {
    return Forms.blank(BottlingForm.class);
  }

  private static final int MOST_ROWS = 26;

  /** How many rows there are; one at least. */
  public int rows() {
    return Math.min(MOST_ROWS, Math.max(1, amount == null ? 0 : amount.size()));
  }

  /** One more row, which repeats the last. */
  BottlingForm more() {
    return new BottlingForm(
        repeated(count),
        repeated(amount),
        repeated(size),
        repeated(placeOf),
        repeated(glassOf),
        place,
        glass,
        antioxidant,
        clean,
        cold,
        key);
  }

  private List<String> repeated(@Nullable List<String> list) {
    List<String> longer = new ArrayList<>();
    for (int row = 0; row < rows(); row++) {
      longer.add(at(list, row));
    }
    longer.add(at(list, rows() - 1));
    return longer;
  }

  /** How many like that are typed in a row, or nothing. */
  public String countAt(int row) {
    return at(count, row);
  }

  /** The amount typed in a row, or nothing. */
  public String amountAt(int row) {
    return at(amount, row);
  }

  /** The size typed in a row, or nothing. */
  public String sizeAt(int row) {
    return at(size, row);
  }

  /** Where the bottle of a row stands; nothing for where the others do. */
  public String placeAt(int row) {
    return at(placeOf, row);
  }

  /** The glass of the bottle of a row; nothing for that of the others. */
  public String glassAt(int row) {
    return at(glassOf, row);
  }

  private static String at(@Nullable List<String> list, int row) {
    return list == null || row >= list.size() || list.get(row) == null ? "" : list.get(row).strip();
  }
}
