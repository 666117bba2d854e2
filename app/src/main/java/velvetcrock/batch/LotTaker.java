package velvetcrock.batch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.Event;
import velvetcrock.core.spirit.EthanolWater;
import velvetcrock.drawer.Drawer;

/**
 * Takes from the drawer what goes into a jar, where it comes from a lot. It never refuses for want
 * of enough: what a lot lacks came from elsewhere, and is told.
 */
@Component
class LotTaker {
  private final Drawer drawer;
  private final BatchLotRepository batchLots;

  LotTaker(Drawer drawer, BatchLotRepository batchLots) {
    this.drawer = drawer;
    this.batchLots = batchLots;
  }

  /** Keeps beside a batch which lots went into it. */
  void keep(UUID batchId, BatchState state) {
    Set<UUID> now = lots(state.charge());
    List<BatchLot> before = batchLots.findByBatchId(batchId);
    before.stream().filter(row -> !now.remove(row.lotId())).forEach(batchLots::delete);
    now.forEach(lot -> batchLots.save(new BatchLot(batchId, lot)));
  }

  /** Every lot of a charge. */
  static Set<UUID> lots(Event.Charged charge) {
    Set<UUID> lots = new LinkedHashSet<>();
    charge.herbs().stream().map(Event.HerbIn::lot).filter(Objects::nonNull).forEach(lots::add);
    charge.carriers().stream().map(Event.OilIn::lot).filter(Objects::nonNull).forEach(lots::add);
    Event.SpiritIn spirit = charge.manner().spirit();
    if (spirit != null && spirit.lot() != null) {
      lots.add(spirit.lot());
    }
    return lots;
  }

  /** What an entry wants of a lot, in the unit of the lot. */
  private record Wanted(UUID lot, double amount) {}

  /** Notes every lot that a charge names and that is not of that thing. */
  void check(Event.Charged charged, Problems problems) {
    for (int i = 0; i < charged.herbs().size(); i++) {
      Event.HerbIn herb = charged.herbs().get(i);
      check(herb.lot(), Kind.HERB, herb.herb(), "herbs[" + i + "].lot", problems);
    }
    for (int i = 0; i < charged.carriers().size(); i++) {
      Event.OilIn oil = charged.carriers().get(i);
      check(oil.lot(), Kind.CARRIER, oil.carrier(), "carriers[" + i + "].lot", problems);
    }
    Event.SpiritIn spirit = charged.manner().spirit();
    if (spirit != null) {
      check(spirit.lot(), Kind.SPIRIT, "", "manner.spirit.lot", problems);
    }
  }

  private void check(@Nullable UUID lot, Kind kind, String thing, String field, Problems problems) {
    if (lot != null) {
      boolean fits =
          drawer
              .find(lot)
              .map(l -> l.lot().details())
              .filter((LotDetails d) -> d.kind() == kind && d.thing().equals(thing))
              .isPresent();
      problems.require(fits, field, "There is no such lot of it in your drawer.");
    }
  }

  /** Takes what an entry puts in; answers where there was not enough. */
  List<Written.Short> take(String code, UUID entry, Event event, BatchState state) {
    List<Written.Short> shorts = new ArrayList<>();
    // always in one order, so that two who take from the same lots take turns
    wanted(event, state)
        .sorted(Comparator.comparing(Wanted::lot))
        .forEach(
            w -> {
              double taken = drawer.take(w.lot(), w.amount(), code, key(entry, w.lot()));
              if (taken < w.amount() - 1e-6) {
                shorts.add(new Written.Short(w.lot(), w.amount(), taken));
              }
            });
    return List.copyOf(shorts);
  }

  /** Gives back what an entry took that is now taken back. */
  void giveBack(UUID entry, BatchState state) {
    lots(state.charge()).stream().sorted().forEach(lot -> drawer.giveBack(lot, key(entry, lot)));
  }

  private static Stream<Wanted> wanted(Event event, BatchState state) {
    if (event instanceof Event.Charged e) {
      Event.SpiritIn spirit = e.manner().spirit();
      Stream<Wanted> herbs = e.herbs().stream().flatMap(h -> wanted(h.lot(), h.massG().middle()));
      return spirit == null
          ? Stream.concat(herbs, oils(e, e.oilMl().middle()))
          : Stream.concat(
              herbs,
              wanted(spirit.lot(), spirit.massG() / EthanolWater.density(spirit.abvPercent())));
    } else if (event instanceof Event.OilPoured e) {
      return oils(state.charge(), e.oilMl());
    } else if (event instanceof Event.ToppedUp e) {
      return state.charge().carriers().stream()
          .filter(c -> c.carrier().equals(e.carrier()))
          .limit(1)
          .flatMap(c -> wanted(c.lot(), e.ml()));
    }
    return Stream.empty();
  }

  private static Stream<Wanted> oils(Event.Charged charged, double ml) {
    double shares = charged.carriers().stream().mapToDouble(Event.OilIn::share).sum();
    return charged.carriers().stream().flatMap(c -> wanted(c.lot(), ml * c.share() / shares));
  }

  private static Stream<Wanted> wanted(@Nullable UUID lot, double amount) {
    return lot == null ? Stream.empty() : Stream.of(new Wanted(lot, amount));
  }

  private static String key(UUID entry, UUID lot) {
    return "take:" + entry + ":" + lot;
  }
}
