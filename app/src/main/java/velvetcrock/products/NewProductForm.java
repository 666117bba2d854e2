package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.web.Typed;

/**
 * The sentence by which a product is weighed in, as typed; every field is kept whatever it says.
 *
 * @param making what is made
 * @param where whose skin
 * @param used where it will lie: {@code room}, {@code pocket}, {@code cold}
 * @param hardness as a number, 1:5 or spoons to a cup; empty for as this household likes it
 * @param in how it is melted
 * @param stirred set when it is stirred while it cools
 * @param place where it is kept
 * @param forWhat what it is drawn for
 * @param parts what goes in; an empty amount is as much as it takes
 * @param count how many tins are wanted; empty for whatever comes of it
 * @param size what one holds
 * @param cloth a pad's cloth: weight in g/m²
 * @param pad a pad's size, such as 10 × 15 cm
 * @param layers how often it is folded over
 * @param reason why a ceiling is passed
 * @param recipe the version of a recipe that it follows, such as {@code id-3}
 * @param was what was made before another kind was chosen, whose parts are not this one's
 * @param set {@code parts+}, {@code parts-1}, {@code drops+}, {@code drops-0}: a row more or less
 */
record NewProductForm(
    @Nullable String making,
    @Nullable String name,
    @Nullable String where,
    @Nullable String used,
    @Nullable String hardness,
    @Nullable String in,
    @Nullable String stirred,
    @Nullable String place,
    @Nullable String forWhat,
    @Nullable List<Row> parts,
    @Nullable List<DropRow> drops,
    @Nullable String count,
    @Nullable String size,
    @Nullable String cloth,
    @Nullable String pad,
    @Nullable String layers,
    @Nullable String reason,
    @Nullable String recipe,
    @Nullable String key,
    @Nullable String was,
    @Nullable String set) {
  private static final int MOST_PARTS = 12;
  private static final int MOST_DROPS = 8;

  /**
   * A part.
   *
   * @param thing what and from where, such as {@code bottle:K7M-A}
   */
  record Row(@Nullable String thing, @Nullable String amount) {
    Row completed() {
      return new Row(Typed.text(thing), Typed.text(amount));
    }
  }

  /** Drops of an essential oil. */
  record DropRow(@Nullable String oil, @Nullable String count) {
    DropRow completed() {
      return new DropRow(oil == null ? "lavender" : oil, count == null ? "10" : count.strip());
    }
  }

  /** The same with nothing missing and the asked row added or left out. */
  NewProductForm completed(List<Row> usual) {
    List<Row> rows = new ArrayList<>();
    if (parts != null && !anew()) {
      parts.stream()
          .filter(Objects::nonNull)
          .limit(MOST_PARTS)
          .forEach(row -> rows.add(row.completed()));
    }
    if (rows.isEmpty()) {
      rows.addAll(usual);
    }
    List<DropRow> oils = new ArrayList<>();
    if (drops != null) {
      drops.stream()
          .filter(Objects::nonNull)
          .limit(MOST_DROPS)
          .forEach(row -> oils.add(row.completed()));
    }
    String change = Typed.text(set);
    if (change.equals("parts+") && rows.size() < MOST_PARTS) {
      rows.add(new Row("", ""));
    } else if (change.equals("drops+") && oils.size() < MOST_DROPS) {
      oils.add(new DropRow(null, null).completed());
    } else if (change.startsWith("parts-")) {
      drop(rows, change.substring(6), 1);
    } else if (change.startsWith("drops-")) {
      drop(oils, change.substring(6), 0);
    }
    return new NewProductForm(
        or(making, "SALVE"),
        or(name, ""),
        or(where, "BODY"),
        or(used, "room"),
        or(hardness, ""),
        or(in, "BATH"),
        stirred,
        place == null || anew() ? usualPlace() : place,
        or(forWhat, "lotion"),
        rows,
        oils,
        or(count, ""),
        or(size, "30 ml"),
        or(cloth, "150"),
        or(pad, "10 x 15 cm"),
        or(layers, "4"),
        or(reason, ""),
        or(recipe, ""),
        key == null || key.isBlank() ? UUID.randomUUID().toString() : key,
        or(making, "SALVE"),
        null);
  }

  /** Pads melt in the hand and are kept in the fridge; all else in a cool cupboard. */
  private String usualPlace() {
    return "COMPRESS_PADS".equals(making) ? "FRIDGE" : "COOL";
  }

  /** Whether another kind was just chosen. */
  boolean anew() {
    return was != null && !was.isBlank() && !was.equals(making);
  }

  /** The oil that the first part comes from, which another kind may be made of too; or nothing. */
  String firstOil() {
    String first = parts == null || parts.isEmpty() ? "" : Typed.text(parts.get(0).thing());
    return first.startsWith("bottle:") || first.startsWith("cloth:") ? first : "";
  }

  /** The same with other parts. */
  NewProductForm with(List<Row> rows) {
    return new NewProductForm(
        making, name, where, used, hardness, in, stirred, place, forWhat, rows, drops, count, size,
        cloth, pad, layers, reason, recipe, key, was, null);
  }

  private static void drop(List<?> rows, String index, int least) {
    try {
      int i = Integer.parseInt(index);
      if (i >= 0 && i < rows.size() && rows.size() > least) {
        rows.remove(i);
      }
    } catch (NumberFormatException e) {
      // a row that there is not
    }
  }

  private static String or(@Nullable String typed, String usual) {
    return Optional.ofNullable(typed).orElse(usual);
  }
}
