package velvetcrock.products;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.measure.Quantity;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Typed;

/**
 * The sentence by which a product is weighed in, as typed; every field is kept whatever it says.
 *
 * @param making what is made
 * @param keeping whose it is and where it is kept
 * @param firmness how firm it is to be
 * @param melting how it is melted and cooled
 * @param parts what goes in; an empty amount is as much as it takes
 * @param tins what it is to fill
 * @param wrap the cloth of a pad
 * @param reason why a ceiling is passed
 * @param recipe the version of a recipe that it follows, such as {@code id-3}
 * @param sent how it was sent
 */
record NewProductForm(
    @Nullable String making,
    @Nullable String name,
    @JsonUnwrapped Keeping keeping,
    @JsonUnwrapped Firmness firmness,
    @JsonUnwrapped Melting melting,
    @Nullable List<Row> parts,
    @Nullable List<DropRow> drops,
    @JsonUnwrapped Tins tins,
    @JsonUnwrapped Cloth wrap,
    @Nullable String reason,
    @Nullable String recipe,
    @JsonUnwrapped Sent sent) {

  /**
   * How firm it is to be.
   *
   * @param used where it will lie: {@code room}, {@code pocket}, {@code cold}
   * @param hardness as a number, 1:5 or spoons to a cup; empty for as this household likes it
   */
  record Firmness(@Nullable String used, @Nullable String hardness) {}

  /**
   * How it is melted and cooled.
   *
   * @param in how it is melted
   * @param stirred set when it is stirred while it cools
   */
  record Melting(@Nullable String in, @Nullable String stirred) {}

  /**
   * Whose it is and where it is kept.
   *
   * @param where whose skin
   * @param place where it is kept
   * @param forWhat what it is drawn for
   */
  record Keeping(@Nullable String where, @Nullable String place, @Nullable String forWhat) {}

  /**
   * What it is to fill.
   *
   * @param count how many tins are wanted; empty for whatever comes of it
   * @param size what one holds
   */
  record Tins(@Nullable String count, @Nullable String size) {}

  /**
   * The cloth of a pad.
   *
   * @param cloth a pad's cloth: weight in g/m²
   * @param pad a pad's size, such as 10 × 15 cm
   * @param layers how often it is folded over
   */
  record Cloth(@Nullable String cloth, @Nullable String pad, @Nullable String layers) {}

  /**
   * How it was sent.
   *
   * @param was what was made before another kind was chosen, whose parts are not this one's
   * @param set {@code parts+}, {@code parts-1}, {@code drops+}, {@code drops-0}: a row more or less
   */
  record Sent(@Nullable String key, @Nullable String was, @Nullable String set) {}

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
  NewProductForm completed(List<Row> usual, Formats fmt) {
    List<Row> rows = new ArrayList<>();
    List<Row> kept = KindChange.rows(rows(), Typed.text(sent.was()), Typed.text(making));
    if (anew() && !kept.isEmpty()) {
      rows.addAll(kept);
    } else if (parts != null && !anew()) {
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
    String change = Typed.text(sent.set());
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
        new NewProductForm.Keeping(
            or(keeping.where(), "BODY"),
            keeping.place() == null || anew() ? usualPlace() : keeping.place(),
            or(keeping.forWhat(), "lotion")),
        new NewProductForm.Firmness(or(firmness.used(), "room"), or(firmness.hardness(), "")),
        new NewProductForm.Melting(or(melting.in(), "BATH"), melting.stirred()),
        rows,
        oils,
        new NewProductForm.Tins(or(tins.count(), ""), or(tins.size(), fmt.usualVessel())),
        new NewProductForm.Cloth(
            or(wrap.cloth(), "150"),
            or(wrap.pad(), fmt.proposed(Quantity.LENGTH, "10 x 15 cm", "4 x 6 in")),
            or(wrap.layers(), "4")),
        or(reason, ""),
        or(recipe, ""),
        new NewProductForm.Sent(
            sent.key() == null || sent.key().isBlank() ? FreshKeys.next() : sent.key(),
            or(making, "SALVE"),
            null));
  }

  /** Pads melt in the hand and are kept in the fridge; all else in a cool cupboard. */
  private String usualPlace() {
    return "COMPRESS_PADS".equals(making) ? "FRIDGE" : "COOL";
  }

  /** Whether another kind was just chosen. */
  boolean anew() {
    return sent.was() != null && !sent.was().isBlank() && !sent.was().equals(making);
  }

  private List<Row> rows() {
    return parts == null
        ? List.of()
        : parts.stream().filter(Objects::nonNull).map(Row::completed).toList();
  }

  /** The same, of another kind. */
  NewProductForm as(String kind) {
    return new NewProductForm(
        kind,
        name,
        keeping,
        firmness,
        melting,
        parts,
        drops,
        tins,
        wrap,
        reason,
        recipe,
        new NewProductForm.Sent(sent.key(), kind, null));
  }

  /** The oil that the first part comes from, which another kind may be made of too; or nothing. */
  String firstOil() {
    String first = parts == null || parts.isEmpty() ? "" : Typed.text(parts.get(0).thing());
    return first.startsWith("bottle:") || first.startsWith("cloth:") ? first : "";
  }

  /** The same with other parts. */
  NewProductForm with(List<Row> rows) {
    return new NewProductForm(
        making,
        name,
        new NewProductForm.Keeping(keeping.where(), keeping.place(), keeping.forWhat()),
        new NewProductForm.Firmness(firmness.used(), firmness.hardness()),
        new NewProductForm.Melting(melting.in(), melting.stirred()),
        rows,
        drops,
        new NewProductForm.Tins(tins.count(), tins.size()),
        new NewProductForm.Cloth(wrap.cloth(), wrap.pad(), wrap.layers()),
        reason,
        recipe,
        new NewProductForm.Sent(sent.key(), sent.was(), null));
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
