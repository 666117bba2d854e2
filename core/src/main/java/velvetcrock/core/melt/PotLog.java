package velvetcrock.core.melt;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.Entry;
import velvetcrock.core.melt.PotEvent.DropsIn;
import velvetcrock.core.melt.PotEvent.Group;
import velvetcrock.core.pot.Making;
import velvetcrock.core.pot.Whipping;

/** Folds the log of a pot into its state; refuses what could not have happened. */
public final class PotLog {
  private PotEvent.@Nullable Plan plan;
  private Instant begunAt = Instant.EPOCH;
  private final List<PartIn> parts = new ArrayList<>();
  private final List<DropsIn> drops = new ArrayList<>();
  private final List<String> reasons = new ArrayList<>();
  private final List<PotState.Test> tests = new ArrayList<>();
  private PotState.@Nullable Reading read;
  private @Nullable Whipping whipping;
  private @Nullable Instant whippedAt;
  private @Nullable Instant pouredAt;
  private boolean stirred;
  private final List<Group> groups = new ArrayList<>();
  private @Nullable Long boughtMinor;
  private final List<PotState.Tin> tins = new ArrayList<>();
  private @Nullable Instant abandonedAt;
  private boolean givenBack;
  private final List<String> remarks = new ArrayList<>();

  private PotLog() {}

  /**
   * Folds a log.
   *
   * @param entries in any order, the first with how it was begun
   * @throws Refused at the field of the entry that could not have happened
   */
  public static PotState fold(List<Entry<PotEvent>> entries) {
    PotLog log = new PotLog();
    Entry.counting(entries).forEach(e -> log.apply(e.event(), e.at()));
    return log.state();
  }

  private void apply(PotEvent event, Instant at) {
    if (event instanceof PotEvent.Begun e) {
      begun(e, at);
      return;
    }
    if (event instanceof PotEvent.Remarked e) {
      remarks.add(e.text());
      return;
    }
    if (event instanceof PotEvent.Struck) {
      return;
    }
    require(abandonedAt == null, "kind", "This pot came to nothing.");
    if (event instanceof PotEvent.Went e) {
      went(e, at);
    } else if (event instanceof PotEvent.Reacted e) {
      int i = tin(e.tin());
      PotState.Tin tin = tins.get(i);
      List<String> reactions = new ArrayList<>(tin.reactions());
      reactions.add(e.what());
      tins.set(
          i,
          new PotState.Tin(
              tin.name(),
              tin.group(),
              tin.fate(),
              tin.since(),
              tin.to(),
              tin.remark(),
              List.copyOf(reactions)));
    } else {
      inThePan(event, at);
    }
  }

  private void inThePan(PotEvent event, Instant at) {
    require(pouredAt == null, "kind", "It is poured already.");
    if (event instanceof PotEvent.Added e) {
      e.parts().forEach(this::add);
      drops.addAll(e.drops());
      reason(e.reason());
    } else if (event instanceof PotEvent.Tested e) {
      tests.add(new PotState.Test(e.harder(), e.hardness(), e.stillG(), mainWax()));
    } else if (event instanceof PotEvent.Read e) {
      read = new PotState.Reading(at, e.celsius());
    } else if (event instanceof PotEvent.Looked e) {
      require(whipping != null, "look", "Only a whipped butter is whipped.");
      whipping = whipping.after(e.look());
      whippedAt = at;
    } else if (event instanceof PotEvent.Poured e) {
      poured(e, at);
    } else if (event instanceof PotEvent.Abandoned e) {
      abandonedAt = at;
      givenBack = e.givenBack();
      if (!e.why().isBlank()) {
        remarks.add(e.why());
      }
    }
  }

  private void begun(PotEvent.Begun event, Instant at) {
    plan = event.plan();
    begunAt = at;
    event.parts().forEach(this::add);
    drops.addAll(event.drops());
    reason(event.reason());
    if (event.plan().making() == Making.WHIPPED_BUTTER) {
      whipping = Whipping.begun();
      whippedAt = at;
    }
  }

  private void add(PartIn part) {
    for (int i = 0; i < parts.size(); i++) {
      if (parts.get(i).sameAs(part)) {
        parts.set(i, parts.get(i).withMassG(parts.get(i).massG() + part.massG()));
        return;
      }
    }
    parts.add(part);
  }

  private String mainWax() {
    return parts.stream()
        .filter(p -> p.kind() == PartIn.Kind.WAX)
        .max(Comparator.comparingDouble(PartIn::massG))
        .map(PartIn::key)
        .orElse("");
  }

  private void reason(String text) {
    if (!text.isBlank()) {
      reasons.add(text);
    }
  }

  private void poured(PotEvent.Poured event, Instant at) {
    PotEvent.Plan made = Objects.requireNonNull(plan);
    require(made.making().filled(), "kind", "This is not filled into anything.");
    Set<String> letters = new HashSet<>();
    for (Group group : event.groups()) {
      require(letters.add(group.letter()), "fill", "Two groups are called " + group.letter() + ".");
      groups.add(group);
      reason(group.reason());
      for (int n = 1; n <= group.count(); n++) {
        tins.add(
            new PotState.Tin(group.letter() + n, group.letter(), null, null, "", "", List.of()));
      }
    }
    pouredAt = at;
    stirred = event.stirred();
    boughtMinor = event.boughtMinor();
  }

  private void went(PotEvent.Went event, Instant at) {
    int i = tin(event.tin());
    PotState.Tin tin = tins.get(i);
    require(
        tin.there() || tin.fate() == event.fate() || tin.fate() == PotEvent.Fate.GIVEN,
        "tin",
        "Tin " + tin.name() + " is gone already.");
    tins.set(
        i,
        new PotState.Tin(
            tin.name(),
            tin.group(),
            event.fate(),
            at,
            event.to().isEmpty() ? tin.to() : event.to(),
            event.remark().isEmpty() ? tin.remark() : event.remark(),
            tin.reactions()));
  }

  private int tin(String name) {
    for (int i = 0; i < tins.size(); i++) {
      if (tins.get(i).name().equals(name)) {
        return i;
      }
    }
    throw new Refused("tin", "There is no tin " + name + " of this pot.");
  }

  private PotState state() {
    if (plan == null) {
      throw new Refused("replaces", "That it was begun stays in its log.");
    }
    return new PotState(
        plan,
        begunAt,
        List.copyOf(parts),
        List.copyOf(drops),
        List.copyOf(reasons),
        List.copyOf(tests),
        read,
        whipping,
        whippedAt,
        pouredAt,
        stirred,
        List.copyOf(groups),
        boughtMinor,
        List.copyOf(tins),
        abandonedAt,
        givenBack,
        List.copyOf(remarks));
  }

  private static void require(boolean rule, String field, String message) {
    if (!rule) {
      throw new Refused(field, message);
    }
  }
}
