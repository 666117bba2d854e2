package velvetcrock.core.product;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;

/**
 * What is made.
 *
 * @param name what the household calls it
 * @param where whose skin, and which
 * @param usedAtC where it will lie, °C
 * @param aim the hardness aimed at, at 20 °C; 0 where none is
 * @param in how it is melted
 * @param stirred whether it is stirred while it cools
 * @param place where it is kept
 * @param forWhat what it was drawn for, of what is made elsewhere; else empty
 * @param recipe the recipe that it follows; empty for none
 * @param tins what it is meant to be filled into; null where nobody said
 */
public record Intent(
    ProductKind making,
    String name,
    Drops.Where where,
    double usedAtC,
    double aim,
    Working.Vessel in,
    boolean stirred,
    Store.Place place,
    String forWhat,
    String recipe,
    @Nullable Tins tins) {
  /**
   * What it is meant to be filled into.
   *
   * @param count how many; 0 for as many as it fills
   * @param ml what one holds, ml
   */
  public record Tins(int count, double ml) {}

  /** One of which nobody said what it is to be filled into. */
  public Intent(
      ProductKind making,
      String name,
      Drops.Where where,
      double usedAtC,
      double aim,
      Working.Vessel in,
      boolean stirred,
      Store.Place place,
      String forWhat,
      String recipe) {
    this(making, name, where, usedAtC, aim, in, stirred, place, forWhat, recipe, null);
  }

  /** Checks what has to be there. */
  public Intent {
    Problems problems = new Problems();
    problems.require(making != null, "making", "Say what is made.");
    problems.require(name != null && name.length() <= 120, "name", "At most 120 letters.");
    problems.require(where != null, "where", "Say for whose skin.");
    problems.require(usedAtC >= -10 && usedAtC <= 45, "usedAtC", "Between −10 and 45 °C.");
    problems.require(aim >= 0 && aim <= 90, "hardness", "Hardness lies between 1 and 90.");
    problems.require(in != null && place != null, "in", "Say how it is melted and kept.");
    problems.refuseIfAny();
  }
}
