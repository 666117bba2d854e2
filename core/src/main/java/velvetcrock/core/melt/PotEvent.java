package velvetcrock.core.melt;

import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.pot.Drops;
import velvetcrock.core.pot.Making;
import velvetcrock.core.pot.Whipping;
import velvetcrock.core.pot.Working;

/** What can happen to a pot. */
public sealed interface PotEvent {

  /**
   * So many drops of an essential oil.
   *
   * @param oil key in the catalogue
   * @param count above 0
   */
  record DropsIn(String oil, double count) {
    /** Checks the count. */
    public DropsIn {
      if (oil == null || !(count > 0 && count <= 100_000)) {
        throw new Refused("drops", "Drops are counted from above 0 to 100 000.");
      }
    }
  }

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
   */
  record Plan(
      Making making,
      String name,
      Drops.Where where,
      double usedAtC,
      double aim,
      Working.In in,
      boolean stirred,
      Store.Place place,
      String forWhat,
      String recipe) {
    /** Checks what has to be there. */
    public Plan {
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

  /**
   * It was weighed into the pan.
   *
   * @param reason why a ceiling is passed; empty where none is
   */
  record Begun(Plan plan, List<PartIn> parts, List<DropsIn> drops, String reason)
      implements PotEvent {
    /** Copies the lists. */
    public Begun {
      parts = some(parts);
      drops = drops == null ? List.of() : List.copyOf(drops);
      reason = reason == null ? "" : reason;
    }
  }

  /** More was stirred in. */
  record Added(List<PartIn> parts, List<DropsIn> drops, String reason) implements PotEvent {
    /** Copies the lists. */
    public Added {
      parts = parts == null ? List.of() : List.copyOf(parts);
      drops = drops == null ? List.of() : List.copyOf(drops);
      reason = reason == null ? "" : reason;
      if (parts.isEmpty() && drops.isEmpty()) {
        throw new Refused("amount", "Say what was added.");
      }
    }
  }

  /**
   * The spoon test.
   *
   * @param harder the hardness that it wants more, ΔH; below nothing for less
   * @param hardness of what was tested
   * @param stillG what is still in the pan, g; null for all of it but the spoonful
   */
  record Tested(double harder, double hardness, @Nullable Double stillG) implements PotEvent {
    /** Checks the figures. */
    public Tested {
      if (!(harder >= -10 && harder <= 10)) {
        throw new Refused("feel", "Between −10 and 10.");
      }
      if (stillG != null && !(stillG > 0 && stillG <= 100_000)) {
        throw new Refused("still", "More than nothing, and at most 100 kg.");
      }
      if (!(hardness >= 0 && hardness <= 300)) {
        throw new Refused("hardness", "Between 0 and 300.");
      }
    }
  }

  /** The melt's temperature was read. */
  record Read(double celsius) implements PotEvent {
    /** Checks the figure. */
    public Read {
      if (!(celsius >= -20 && celsius <= 200)) {
        throw new Refused("celsius", "Between −20 and 200 °C.");
      }
    }
  }

  /** A whipped butter was looked at. */
  record Looked(Whipping.Look look) implements PotEvent {}

  /**
   * Vessels of one size and one kind, with what went into them alone.
   *
   * @param letter names the group within the pot
   * @param vessel what they are: tin, mould, jar
   * @param ml what one holds, ml
   * @param count how many
   * @param where whose skin these are for
   * @param drops essential oils in these alone, in all of them together
   * @param extras what else was stirred into these alone, in all of them together: vitamin E,
   *     powders, what is wet
   * @param reason why a ceiling is passed; empty where none is
   */
  record Group(
      String letter,
      String vessel,
      double ml,
      int count,
      Drops.Where where,
      List<DropsIn> drops,
      List<PartIn> extras,
      String reason) {
    /** Checks what has to be there. */
    public Group {
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
    public Group(
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

  /**
   * It was poured.
   *
   * @param stirred whether it was stirred while it cooled
   * @param boughtMinor what one such costs in a shop, in hundredths; null if not known
   */
  record Poured(List<Group> groups, boolean stirred, @Nullable Long boughtMinor)
      implements PotEvent {
    /** Copies the list. */
    public Poured {
      groups = some(groups);
    }
  }

  /**
   * It came to nothing.
   *
   * @param givenBack whether the oil went back into its bottles
   */
  record Abandoned(boolean givenBack, String why) implements PotEvent {}

  /** What became of a tin. */
  enum Fate {
    /** Kept for oneself. */
    KEPT,
    /** Given away. */
    GIVEN,
    /** Used up, without trouble. */
    USED_UP,
    /** Spoiled. */
    SPOILED,
    /** Lost or broken. */
    LOST
  }

  /**
   * A tin went somewhere.
   *
   * @param tin its name, such as A3
   * @param to whom it was given; empty for nobody
   */
  record Went(String tin, Fate fate, String to, String remark) implements PotEvent {
    /** Checks what has to be there. */
    public Went {
      if (fate == null) {
        throw new Refused("fate", "Say what became of it.");
      }
      to = short120("to", to);
      remark = short120("remark", remark);
    }
  }

  /**
   * A skin reacted.
   *
   * @param what what was seen
   */
  record Reacted(String tin, String what) implements PotEvent {
    /** Checks what has to be there. */
    public Reacted {
      if (what == null || what.isBlank() || what.length() > 2000) {
        throw new Refused("what", "Say what was seen, in at most 2000 letters.");
      }
    }
  }

  /** Something worth writing down. */
  record Remarked(String text) implements PotEvent {
    /** Checks what has to be there. */
    public Remarked {
      if (text == null || text.isBlank() || text.length() > 4000) {
        throw new Refused("text", "Between 1 and 4000 letters.");
      }
    }
  }

  /** Nothing: takes back the entry that it replaces. */
  record Struck() implements PotEvent {}

  private static <T> List<T> some(List<T> list) {
    if (list == null || list.isEmpty() || list.size() > 60) {
      throw new Refused("parts", "Between 1 and 60 of them.");
    }
    return List.copyOf(list);
  }

  private static String short120(String field, @Nullable String text) {
    String said = text == null ? "" : text.strip();
    if (said.length() > 120) {
      throw new Refused(field, "At most 120 letters.");
    }
    return said;
  }
}
