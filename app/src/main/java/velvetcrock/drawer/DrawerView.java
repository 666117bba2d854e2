package velvetcrock.drawer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import velvetcrock.core.Range;
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.drawer.Drawer.Front;
import velvetcrock.web.Formats;

/**
 * The drawer as a whole: what dries, and the fronts by kind.
 *
 * @param more how many loads are not shown
 */
record DrawerView(List<Load> loads, long more, List<Chest> chests) {

  /** The drawers of one kind. */
  record Chest(String name, Kind kind, List<Face> faces) {}

  /**
   * A drawer's front.
   *
   * @param percent how full it is against its fullest, in hundredths
   * @param note how old it is
   * @param worry what is the matter; empty if nothing is
   */
  record Face(String name, String amount, int percent, String note, String worry, String link) {}

  /** A load that dries. */
  record Load(
      UUID id,
      String herb,
      String way,
      String lead,
      String when,
      boolean ready,
      DryingDrawing drawing) {

    static Load of(LoadRecord record, Catalogue catalogue, Formats fmt, Instant now) {
      Drying drying = record.drying();
      Range dry = drying.dryAtHours();
      double hours = drying.hoursAt(now);
      boolean ready = drying.snap() == Snap.CRUMBLES;
      String lead =
          ready
              ? "Crumbles: dry"
              : drying.waterNow() <= Drying.DRY
                  ? "Should be dry: bend a stem"
                  : fmt.percent(drying.waterNow()) + " water, " + left(dry, hours, fmt);
      return new Load(
          record.id(),
          catalogue.herb(drying.begun().herb()).name(),
          way(drying),
          lead,
          "Begun "
              + fmt.nearDate(fmt.date(drying.begunAt()))
              + ", "
              + fmt.g(drying.begun().freshG())
              + " fresh"
              + (drying.begun().from().isEmpty() ? "" : ", " + drying.begun().from()),
          ready,
          DryingDrawing.of(drying, now, fmt));
    }

    private static String left(Range dry, double hours, Formats fmt) {
      if (hours >= dry.high()) {
        return "should be dry by now: bend a stem";
      }
      Range left = new Range(dry.low() - hours, dry.high() - hours).atLeast(0);
      return left.high() < 1 ? "dry in about an hour: bend a stem" : "dry in " + fmt.hours(left);
    }

    private static String way(Drying drying) {
      return switch (drying.begun().way()) {
        case BUNCH -> "hung in a bunch";
        case RACK -> "on a rack";
        case DEHYDRATOR -> "in the dehydrator";
      };
    }
  }

  static DrawerView of(
      List<LoadRecord> loads,
      long allLoads,
      List<Front> fronts,
      Catalogue catalogue,
      Formats fmt,
      Instant now) {
    LotWords words = new LotWords(catalogue, fmt);
    List<Chest> chests = new ArrayList<>();
    for (Kind kind : Kind.values()) {
      List<Face> faces =
          fronts.stream()
              .filter(f -> f.kind() == kind)
              .map(f -> face(f, words, fmt))
              .sorted(Comparator.comparing(f -> f.name().toLowerCase(Locale.ROOT)))
              .toList();
      chests.add(new Chest(name(kind), kind, faces));
    }
    return new DrawerView(
        loads.stream().map(l -> Load.of(l, catalogue, fmt, now)).toList(),
        allLoads - loads.size(),
        chests);
  }

  static String name(Kind kind) {
    return switch (kind) {
      case HERB -> "Herbs";
      case CARRIER -> "Oils and butters";
      case SPIRIT -> "Spirit";
      case WAX -> "Wax";
    };
  }

  private static Face face(Front front, LotWords words, Formats fmt) {
    LocalDate until = front.goodUntil();
    LocalDate today = fmt.today();
    String worry =
        until == null || !until.isBefore(today.plusMonths(1))
            ? ""
            : until.isBefore(today) ? "past its date" : "use soon";
    String count = front.lots() == 1 ? "" : front.lots() + " lots, ";
    String note =
        until == null
            ? count + (front.since() == null ? "" : "since " + fmt.shortDate(front.since()))
            : count + "good until " + fmt.shortDate(until);
    String key = front.kind() == Kind.SPIRIT ? "spirit" : front.thing();
    return new Face(
        words.thing(front.kind(), front.thing()),
        words.amount(front.kind(), front.amount()),
        (int) Math.round(100 * Math.min(1, front.most() == 0 ? 0 : front.amount() / front.most())),
        note.replaceFirst(", $", ""),
        worry,
        "/drawer/of/" + front.kind() + "/" + key);
  }
}
