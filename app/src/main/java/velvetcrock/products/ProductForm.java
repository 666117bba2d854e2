package velvetcrock.products;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import velvetcrock.web.Forms;
import velvetcrock.web.Typed;

/**
 * What is typed on a product's page.
 *
 * @param kind which of its forms
 * @param key names the writing
 * @param spoon a spoon test
 * @param read what was read or seen
 * @param fates what became of a tin
 * @param pour what it was poured into
 */
record ProductForm(
    @Nullable String kind,
    @Nullable String key,
    @JsonUnwrapped Spoon spoon,
    @JsonUnwrapped Read read,
    @Nullable String text,
    @JsonUnwrapped Fates fates,
    @Nullable String what,
    @Nullable String back,
    @Nullable List<NewProductForm.Row> parts,
    @Nullable List<NewProductForm.DropRow> drops,
    @Nullable String reason,
    @JsonUnwrapped Pour pour) {

  /**
   * A spoon test.
   *
   * @param feel the spoon test in a word
   * @param harder the same by the slider, ΔH
   * @param still what is still in the pan, g; empty for all of it
   */
  record Spoon(@Nullable String feel, @Nullable String harder, @Nullable String still) {}

  /** What was read or seen. */
  record Read(@Nullable String celsius, @Nullable String look) {}

  /** What became of a tin. */
  record Fates(
      @Nullable String tin, @Nullable String fate, @Nullable String to, @Nullable String remark) {}

  /**
   * What it was poured into.
   *
   * @param groups what is poured into what
   * @param bought what one such costs in a shop
   * @param left {@code KEPT} where what is left stays in the pan; else it is lost
   */
  record Pour(
      @Nullable List<GroupRow> groups,
      @Nullable String stirred,
      @Nullable String bought,
      @Nullable String left) {}

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
    return Forms.blank(ProductForm.class);
  }

  /** The rows of the pouring that say something. */
  List<GroupRow> filled() {
    List<GroupRow> rows = new ArrayList<>();
    if (pour.groups() != null) {
      pour.groups().stream()
          .filter(Objects::nonNull)
          .filter(g -> !g.empty())
          .limit(MOST_GROUPS)
          .forEach(rows::add);
    }
    return rows;
  }

  ProductForm with(List<GroupRow> rows) {
    return new ProductForm(
        kind,
        key,
        new ProductForm.Spoon(spoon.feel(), spoon.harder(), spoon.still()),
        new ProductForm.Read(read.celsius(), read.look()),
        text,
        new ProductForm.Fates(fates.tin(), fates.fate(), fates.to(), fates.remark()),
        what,
        back,
        parts,
        drops,
        reason,
        new ProductForm.Pour(rows, pour.stirred(), pour.bought(), pour.left()));
  }

  /** A row of the pouring as it was typed, or as it usually is. */
  public GroupRow row(int index, String vessel, String size, String count, String where) {
    if (pour.groups() != null && index < pour.groups().size() && pour.groups().get(index) != null) {
      return pour.groups().get(index);
    }
    boolean first = index == 0 && (pour.groups() == null || pour.groups().isEmpty());
    return new GroupRow(
        vessel, first ? size : "", first ? count : "", where, "", "", "", "", "", "", "");
  }
}
