package velvetcrock.web;

import org.jspecify.annotations.Nullable;

/**
 * How a value stands in a cell. A spreadsheet takes what begins with {@code =}, {@code +}, {@code
 * -}, {@code @}, a tab or a line break for a formula: text that does is written with an apostrophe
 * before it, and so is text that begins with one, so that the apostrophe can be taken away again. A
 * lone apostrophe is a text without a letter; an empty cell is no value at all.
 */
public final class Cells {
  private static final String GUARDED = "=+-@\t\r\n'";
  private static final String GUARD = "'";

  private Cells() {}

  /** A text as it stands in a cell. */
  public static String guarded(@Nullable String text) {
    if (text == null) {
      return "";
    }
    return text.isEmpty() || GUARDED.indexOf(text.charAt(0)) >= 0 ? GUARD + text : text;
  }

  /** The text of a cell; null where there is none. */
  public static @Nullable String bare(String cell) {
    if (cell.isEmpty()) {
      return null;
    }
    return cell.startsWith(GUARD) ? cell.substring(1) : cell;
  }
}
