package velvetcrock.core.product;

import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/** What entries of products have to hold. */
final class ProductChecks {
  private static final int MOST = 60;
  private static final int LONGEST = 120;

  private ProductChecks() {}

  /** The list, copied; refused if it is missing, empty or endless. */
  static <T> List<T> some(@Nullable List<T> list) {
    if (list == null || list.isEmpty() || list.size() > MOST) {
      throw new Refused("parts", "Between 1 and " + MOST + " of them.");
    }
    return List.copyOf(list);
  }

  /** A short text, stripped; empty for none. */
  static String shortText(String field, @Nullable String text) {
    String said = text == null ? "" : text.strip();
    if (said.length() > LONGEST) {
      throw new Refused(field, "At most " + LONGEST + " letters.");
    }
    return said;
  }
}
