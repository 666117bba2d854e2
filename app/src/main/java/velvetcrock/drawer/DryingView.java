package velvetcrock.drawer;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.PutAway;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.moisture.DryingCurve;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.Formats;

/**
 * A load's page.
 *
 * @param advice what to do next
 * @param learned what its fresh water must have been, where the scale and the snap disagree; empty
 *     otherwise
 * @param reckoning how the curve was found; null before a weighing shows a loss
 */
record DryingView(
    DrawerView.Load load,
    String botanical,
    List<LotView.Fact> facts,
    String advice,
    boolean standing,
    boolean crisp,
    String learned,
    @Nullable Reckoning reckoning,
    List<LotView.Line> log) {

  private static final double APART = 0.02;

  static DryingView of(
      LoadRecord record,
      List<Ledger.Line<DryingEvent>> log,
      Catalogue catalogue,
      Formats fmt,
      Instant now) {
    Drying drying = record.drying();
    boolean crisp = drying.snap() == Snap.CRUMBLES;
    return new DryingView(
        DrawerView.Load.of(record, catalogue, fmt, now),
        catalogue.herb(drying.begun().herb()).botanical(),
        facts(drying, fmt, now),
        advice(drying, fmt),
        drying.standing(),
        crisp,
        learned(drying, crisp, fmt),
        drying.curve().map(DryingCurve::reckoning).orElse(null),
        lines(log, fmt));
  }

  private static List<LotView.Fact> facts(Drying drying, Formats fmt, Instant now) {
    List<LotView.Fact> facts = new ArrayList<>();
    Range dry = drying.dryAtHours();
    facts.add(new LotView.Fact("Weighs now", fmt.g(drying.massG())));
    facts.add(new LotView.Fact("Dry at", fmt.g(drying.targetG())));
    facts.add(
        new LotView.Fact(
            "Water now",
            fmt.percent(drying.waterNow()) + ", was " + fmt.percent(drying.waterFraction())));
    if (drying.snap() == Snap.CRUMBLES) {
      return facts;
    }
    facts.add(
        new LotView.Fact(
            "Should be dry",
            drying.hoursAt(now) >= dry.high()
                ? "by now, since " + fmt.date(fmt.date(at(drying, dry.high())))
                : fmt.dates(fmt.date(at(drying, dry.low())), fmt.date(at(drying, dry.high())))));
    return facts;
  }

  private static Instant at(Drying drying, double hours) {
    return drying.begunAt().plusSeconds(Math.round(hours * 3600));
  }

  private static String advice(Drying drying, Formats fmt) {
    if (!drying.standing()) {
      return drying.thrownOut() ? "Thrown out." : "Dried and put away.";
    }
    Snap snap = drying.snap();
    if (snap == Snap.CRUMBLES) {
      return "Leaves crumble and stems snap: it is dry. Weigh it and put it away.";
    }
    if (snap == Snap.LEATHERY) {
      return "Leathery is not dry: it still holds some 15 % water, and oil would go off on it. Let it hang"
          + " until it crumbles.";
    }
    if (drying.weighings().isEmpty()) {
      return "Not weighed yet: the curve is the usual one for this way of drying. One weighing makes it"
          + " its own.";
    }
    return drying.waterNow() <= Drying.DRY
        ? "By the scale it is dry. Bend a stem: does it snap?"
        : "By its own weighings. It is dry when leaves crumble and stems snap.";
  }

  private static String learned(Drying drying, boolean crisp, Formats fmt) {
    double fresh = drying.freshWaterIfCrisp();
    return crisp
            && !drying.weighings().isEmpty()
            && Math.abs(fresh - drying.waterFraction()) > APART
        ? "If it is crisp at "
            + fmt.g(drying.massG())
            + ", it held "
            + fmt.percent(fresh)
            + " water fresh, not "
            + fmt.percent(drying.waterFraction())
            + ". Keep that as your own figure of this herb."
        : "";
  }

  private static List<LotView.Line> lines(List<Ledger.Line<DryingEvent>> log, Formats fmt) {
    return LotView.newestFirst(log).map(line -> line(line, fmt)).toList();
  }

  private static LotView.Line line(Ledger.Line<DryingEvent> line, Formats fmt) {
    DryingEvent event = line.entry().event();
    return new LotView.Line(
        line.entry().id(),
        event.accept(new DryingWords(fmt)).title(),
        fmt.moment(line.entry().at()),
        line.by(),
        line.replaced(),
        !line.replaced() && event.staysBecause().isEmpty(),
        event instanceof PutAway e ? "/drawer/lots/" + e.lot() : "");
  }
}
