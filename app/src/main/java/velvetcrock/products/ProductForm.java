package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import velvetcrock.web.Typed;

/**
 * What is typed on a product's page.
 *
 * @param kind which of its forms
 * @param key names the writing
 * @param feel the spoon test in a word
 * @param harder the same by the slider, ΔH
 * @param still what is still in the pan, g; empty for all of it
 * @param groups what is poured into what
 * @param bought what one such costs in a shop
 */
record ProductForm(
    @Nullable String kind,
    @Nullable String key,
    @Nullable String feel,
    @Nullable String harder,
    @Nullable String still,
    @Nullable String celsius,
    @Nullable String look,
    @Nullable String text,
    @Nullable String tin,
    @Nullable String fate,
    @Nullable String to,
    @Nullable String remark,
    @Nullable String what,
    @Nullable String back,
    @Nullable List<NewProductForm.Row> parts,
    @Nullable List<NewProductForm.DropRow> drops,
    @Nullable String reason,
    @Nullable List<GroupRow> groups,
    @Nullable String stirred,
    @Nullable String bought) {
  private static final int MOST_GROUPS = 6;

  /**
   * Vessels of one size.
   *
   * @param count empty for as many as it fills
   * @param oil an essential oil in these alone; empty for none
   * @param thing what else is stirred into these alone, such as {@code extra:honey}; empty for none
   */
  record GroupRow(
      @Nullable String vessel,
      @Nullable String size,
      @Nullable String count,
      @Nullable String where,
      @Nullable String oil,
      @Nullable String drops,
      @Nullable String oil2,
      @Nullable String drops2,
      @Nullable String thing,
      @Nullable String amount,
      @Nullable String reason) {
    /** Whether nothing was typed in it. */
    boolean empty() {
      return Typed.blank(size);
    }

    GroupRow counted(int now) {
      return new GroupRow(
          vessel,
          size,
          String.valueOf(now),
          where,
          oil,
          drops,
          oil2,
          drops2,
          thing,
          amount,
          reason);
    }
  }

  static ProductForm empty() {
    return new ProductForm(
        null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
        null, null, null, null, null);
  }

  /** The rows of the pouring that say something. */
  List<GroupRow> filled() {
    List<GroupRow> rows = new ArrayList<>();
    if (groups != null) {
      groups.stream()
          .filter(Objects::nonNull)
          .filter(g -> !g.empty())
          .limit(MOST_GROUPS)
          .forEach(rows::add);
    }
    return rows;
  }

  ProductForm with(List<GroupRow> rows) {
    return new ProductForm(
        kind, key, feel, harder, still, celsius, look, text, tin, fate, to, remark, what, back,
        parts, drops, reason, rows, stirred, bought);
  }

  /** A row of the pouring as it was typed, or as it usually is. */
  public GroupRow row(int index, String vessel, String size, String where) {
    if (groups != null && index < groups.size() && groups.get(index) != null) {
      return groups.get(index);
    }
    boolean first = index == 0 && (groups == null || groups.isEmpty());
    return new GroupRow(vessel, first ? size : "", "", where, "", "", "", "", "", "", "");
  }
}
