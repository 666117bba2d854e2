package velvetcrock.products;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetcrock.core.making.ProductKind;
import velvetcrock.products.NewProductForm.Row;

/** What of a sentence still makes sense when another kind of product is chosen. */
final class KindChange {
  private static final Row BEESWAX = new Row("wax:beeswax", "");
  private static final Set<String> SOLID =
      Set.of("carrier:coconut", "carrier:shea", "carrier:mango-butter", "carrier:cocoa-butter");

  private KindChange() {}

  /**
   * The ingredients that stay, and what the other kind cannot do without.
   *
   * @param rows as they were
   * @param was the kind before
   * @param is the kind now
   * @return none where nothing of them makes sense there, or too little: an oil alone is not
   *     whipped
   */
  static List<Row> rows(List<Row> rows, String was, String is) {
    Optional<ProductKind> before = kind(was);
    Optional<ProductKind> now = kind(is);
    boolean marc =
        before.equals(Optional.of(ProductKind.POULTICE))
            || now.equals(Optional.of(ProductKind.POULTICE));
    if (before.isEmpty() || now.isEmpty() || marc || rows.isEmpty()) {
      return List.of();
    }
    ProductKind kind = now.get();
    List<Row> kept = new ArrayList<>(rows);
    if (kind.stiff().isEmpty() || kind == ProductKind.WHIPPED_BUTTER) {
      kept.removeIf(KindChange::wax);
    } else if (kept.stream().noneMatch(KindChange::wax)) {
      kept.add(BEESWAX);
    }
    boolean solid = kept.stream().anyMatch(row -> SOLID.contains(row.thing()));
    if (kind == ProductKind.WHIPPED_BUTTER && !solid) {
      return List.of();
    } else if (kind == ProductKind.COMPRESS_PADS && !solid) {
      kept.add(new Row("carrier:coconut", "100 g"));
    }
    return kept;
  }

  private static boolean wax(Row row) {
    return row.thing() != null && row.thing().startsWith("wax:");
  }

  private static Optional<ProductKind> kind(String name) {
    return Arrays.stream(ProductKind.values()).filter(k -> k.name().equals(name)).findFirst();
  }
}
