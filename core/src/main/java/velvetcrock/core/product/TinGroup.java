package velvetcrock.core.product;

import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.making.Drops;

/**
 * Vessels of one size and one kind, with what went into them alone.
 *
 * @param letter names the group within the product
 * @param vessel what they are: tin, mould, jar
 * @param ml what one holds, ml
 * @param count how many
 * @param where whose skin these are for
 * @param drops essential oils in these alone, in all of them together
 * @param extras what else was stirred into these alone, in all of them together: vitamin E,
 *     powders, what is wet
 * @param reason why a ceiling is passed; empty where none is
 */
public record TinGroup(
    String letter,
    String vessel,
    double ml,
    int count,
    Drops.Where where,
    List<DropsIn> drops,
    List<PartIn> extras,
    String reason) {
  /** Checks what has to be there. */
  public TinGroup {
    Problems problems = new Problems();
    problems.require(letter != null && !letter.isBlank(), "letter", "This is missing.");
    problems.require(vessel != null && vessel.length() <= 40, "vessel", "At most 40 letters.");
    problems.require(ml >= 0.5 && ml <= 20_000, "ml", "Between 0.5 ml and 20 l.");
    problems.require(count >= 1 && count <= 500, "count", "Between 1 and 500 of one kind.");
    problems.require(where != null, "where", "Say for whose skin.");
    drops = drops == null ? List.of() : List.copyOf(drops);
    extras = extras == null ? List.of() : List.copyOf(extras);
    problems.require(
        extras.stream().allMatch(PartIn::stirredInLast),
        "extras",
        "Into single tins goes what is stirred in last: vitamin E, powders, what is wet.");
    problems.refuseIfAny();
    reason = reason == null ? "" : reason;
  }

  /** The same with nothing else stirred in. */
  public TinGroup(
      String letter,
      String vessel,
      double ml,
      int count,
      Drops.Where where,
      List<DropsIn> drops,
      String reason) {
    this(letter, vessel, ml, count, where, drops, List.of(), reason);
  }

  double volumeMl() {
    return ml * count;
  }
}
