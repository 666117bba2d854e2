package velvetcrock.batch;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.FromLot;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.drawer.Drawer;
import velvetcrock.kitchen.Households;

/**
 * Takes from the drawer what goes into a jar, where it comes from a lot. It never refuses for want
 * of enough: what a lot lacks came from elsewhere, and is told.
 */
@Component
class LotTaker {
  private final Drawer drawer;
  private final BatchLotRepository batchLots;
  private final Households households;

  LotTaker(Drawer drawer, BatchLotRepository batchLots, Households households) {
    this.drawer = drawer;
    this.batchLots = batchLots;
    this.households = households;
  }

  /** Keeps beside a batch which lots went into it. */
  void keep(UUID batchId, BatchState state) {
    Set<UUID> now = state.charge().lots();
    List<BatchLot> before = batchLots.findByBatchId(batchId);
    before.stream().filter(row -> !now.remove(row.lotId())).forEach(batchLots::delete);
    now.forEach(lot -> batchLots.save(new BatchLot(batchId, lot)));
  }

  /** Notes every lot that a charge names and that is not of that thing. */
  void check(Charged charged, Problems problems) {
    for (int i = 0; i < charged.herbs().size(); i++) {
      HerbIn herb = charged.herbs().get(i);
      check(herb.lot(), Kind.HERB, herb.herb(), "herbs[" + i + "].lot", problems);
      ready(herb.lot(), charged.begun().chargedOn(), problems);
    }
    for (int i = 0; i < charged.carriers().size(); i++) {
      OilIn oil = charged.carriers().get(i);
      check(oil.lot(), Kind.CARRIER, oil.carrier(), "carriers[" + i + "].lot", problems);
    }
    SpiritIn spirit = charged.manner().spirit();
    if (spirit != null) {
      check(spirit.lot(), Kind.SPIRIT, "", "manner.spirit.lot", problems);
    }
  }

  /** Refuses to charge a herb before it was gathered, or before it was dry. */
  private void ready(@Nullable UUID lot, LocalDate chargedOn, Problems problems) {
    if (lot == null) {
      return;
    }
    ZoneId zone = households.current().zone();
    drawer
        .find(lot)
        .flatMap(l -> l.lot().harvestedOn())
        .filter(chargedOn::isBefore)
        .ifPresent(
            on -> problems.add("chargedOn", "This lot was gathered on " + on + ", after that."));
    drawer
        .putAwayAt(lot)
        .map(at -> at.atZone(zone).toLocalDate())
        .filter(chargedOn::isBefore)
        .ifPresent(on -> problems.add("chargedOn", "This lot was dry on " + on + ", after that."));
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
  List<Written.Short> take(String code, UUID entry, BatchEvent event, BatchState state) {
    List<Written.Short> shorts = new ArrayList<>();
    // always in one order, so that two who take from the same lots take turns
    event.takes(state).stream()
        .sorted(Comparator.comparing(FromLot::lot))
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
    state.charge().lots().stream().sorted().forEach(lot -> drawer.giveBack(lot, key(entry, lot)));
  }

  private static String key(UUID entry, UUID lot) {
    return "take:" + entry + ":" + lot;
  }
}
