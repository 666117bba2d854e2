package velvetcrock.batch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.web.Forms;

/**
 * A bottling as typed: one amount a bottle, empty ones passed over.
 *
 * @param amount what goes into each bottle
 * @param size what each bottle holds; empty for as much as goes in
 * @param placeOf where each stands, if not where the others do
 * @param glassOf its glass, if not that of the others
 * @param clean set when the bottles were said to be clean and dry
 * @param cold set when they were capped fully cool
 * @param key names the bottling
 */
record BottlingForm(
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
