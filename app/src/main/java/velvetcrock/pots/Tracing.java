package velvetcrock.pots;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.melt.PartIn;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotState;
import velvetcrock.core.pot.Suspects;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.Formats;

/** From a tin back to everything in it, from a lot forward to every tin, and what tins share. */
@Component
class Tracing {
  private static final int MOST_COMPARED = 200;
  private static final long TROUBLE_FREE_DAYS = 14;

  private final Pots pots;
  private final Traces traces;
  private final Drawer drawer;
  private final Catalogues catalogues;

  Tracing(Pots pots, Traces traces, Drawer drawer, Catalogues catalogues) {
    this.pots = pots;
    this.traces = traces;
    this.drawer = drawer;
    this.catalogues = catalogues;
  }

  /** Everything that is in a pot, down to lots and harvests. */
  @Transactional(readOnly = true)
  List<PotView.Source> sources(PotRecord pot, Formats fmt) {
    Catalogue catalogue = catalogues.current();
    LotWords words = new LotWords(catalogue, fmt);
    List<Traces.Back> back = traces.back(pot.id());
    List<PotView.Source> sources = new ArrayList<>();
    for (PartIn part : pot.state().parts()) {
      PartIn.Infused infused = part.infused();
      List<PotView.Lot> lots = new ArrayList<>();
      for (Traces.Back one : back) {
        boolean straight = one.batch() == null && one.lot().equals(part.lot());
        boolean through = infused != null && infused.batch().equals(one.batch());
        if (straight || through) {
          drawer.find(one.lot()).ifPresent(lot -> lots.add(lot(lot, words)));
        }
      }
      sources.add(
          new PotView.Source(
              PotParts.name(part, catalogue), fmt.g(part.massG()), link(infused), lots));
    }
    return sources;
  }

  private static @Nullable String link(PartIn.@Nullable Infused infused) {
    if (infused == null) {
      return null;
    }
    return infused.letter() == null
        ? "/batches/" + infused.batch()
        : "/cellar/" + infused.batch() + "/" + infused.letter();
  }

  private static PotView.Lot lot(LotRecord lot, LotWords words) {
    return new PotView.Lot(
        words.name(lot.lot()) + ", " + words.origin(lot.lot()), "/drawer/lots/" + lot.id());
  }

  /** Every pot that a lot went into. */
  @Transactional(readOnly = true)
  List<PotRecord> ofLot(UUID lot) {
    return pots.of(traces.ofLot(lot));
  }

  /** Every pot that a batch went into. */
  @Transactional(readOnly = true)
  List<PotRecord> ofBatch(String code) {
    return pots.of(traces.ofBatch(code, null));
  }

  /**
   * A tin that troubled.
   *
   * @param others whom tins of the same pot were given to
   */
  record Report(PotRecord pot, PotState.Tin tin, List<String> others) {}

  /** All reports, the newest pot first. */
  @Transactional(readOnly = true)
  List<Report> reports() {
    List<Report> reports = new ArrayList<>();
    for (PotRecord pot : pots.troubled()) {
      for (PotState.Tin tin : pot.state().tins()) {
        if (!tin.reactions().isEmpty()) {
          reports.add(new Report(pot, tin, others(pot, tin)));
        }
      }
    }
    return reports;
  }

  private static List<String> others(PotRecord pot, PotState.Tin tin) {
    return pot.state().tins().stream()
        .filter(t -> !t.name().equals(tin.name()) && !t.to().isEmpty())
        .map(t -> t.to() + " (" + pot.code() + "-" + t.name() + ")")
        .toList();
  }

  /**
   * What the tins that troubled share: against those that were used up, or given away or in use for
   * two weeks, without a report.
   */
  @Transactional(readOnly = true)
  Suspects suspects(List<Report> reports, Formats fmt) {
    List<Set<String>> troubled = new ArrayList<>();
    reports.forEach(r -> troubled.add(contents(r.pot(), r.tin(), fmt)));
    List<Set<String>> fine = new ArrayList<>();
    for (PotRecord pot : pots.newest(MOST_COMPARED)) {
      for (PotState.Tin tin : pot.state().tins()) {
        if (troubleFree(tin, fmt)) {
          fine.add(contents(pot, tin, fmt));
        }
      }
    }
    return Suspects.of(troubled, fine);
  }

  private static boolean troubleFree(PotState.Tin tin, Formats fmt) {
    if (!tin.reactions().isEmpty() || tin.fate() == null || tin.since() == null) {
      return false;
    }
    boolean used = tin.fate() == PotEvent.Fate.USED_UP;
    boolean inUse = tin.fate() == PotEvent.Fate.GIVEN || tin.fate() == PotEvent.Fate.KEPT;
    return used || inUse && !fmt.date(tin.since()).plusDays(TROUBLE_FREE_DAYS).isAfter(fmt.today());
  }

  /** Everything in a tin by name: herbs, oils, wax, essential oils, and each lot and batch. */
  Set<String> contents(PotRecord pot, PotState.Tin tin, Formats fmt) {
    Catalogue catalogue = catalogues.current();
    LotWords words = new LotWords(catalogue, fmt);
    Set<String> contents = new LinkedHashSet<>();
    for (PartIn part : pot.state().parts()) {
      PartIn.Infused infused = part.infused();
      if (infused == null) {
        contents.add(PotParts.name(part, catalogue));
      } else {
        infused.herbs().forEach(h -> contents.add(catalogue.herb(h).name()));
        infused.oils().forEach(o -> contents.add(catalogue.carrier(o.carrier()).name()));
        contents.add("batch " + infused.batch());
      }
    }
    pot.state()
        .group(tin.group())
        .ifPresent(
            group ->
                pot.state()
                    .dropsOf(group)
                    .forEach(
                        d ->
                            contents.add(
                                catalogue.essentialOil(d.oil()).name() + " (essential oil)")));
    for (Traces.Back back : traces.back(pot.id())) {
      drawer
          .find(back.lot())
          .ifPresent(
              lot ->
                  contents.add("lot: " + words.name(lot.lot()) + ", " + words.origin(lot.lot())));
    }
    return contents;
  }
}
