package velvetcrock.products;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.making.Cost;
import velvetcrock.core.product.PartIn;
import velvetcrock.drawer.Drawer;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.Formats;
import velvetcrock.web.MoneyWords;
import velvetcrock.web.NotFound;

/** What a product costs by the prices of its lots, straight and by way of the batches in it. */
@Component
class ProductCost {
  private final Drawer drawer;
  private final Batches batches;
  private final Catalogues catalogues;

  ProductCost(Drawer drawer, Batches batches, Catalogues catalogues) {
    this.drawer = drawer;
    this.batches = batches;
    this.catalogues = catalogues;
  }

  /**
   * What it costs.
   *
   * @param perTin in hundredths; empty where nothing in it has a price
   * @param unpriced names of what has none
   */
  record Bill(OptionalLong perTin, List<String> unpriced) {
    /** What it costs, in words; empty where nothing is known of any price. */
    Optional<String> words(String what, Formats fmt) {
      return perTin.isEmpty()
          ? Optional.empty()
          : Optional.of(MoneyWords.cost(perTin.getAsLong(), what, unpriced, fmt));
    }
  }

  /** The cost of one of so many tins. */
  Bill bill(List<PartIn> parts, int tins) {
    List<Cost.Taken> taken = new ArrayList<>();
    Set<String> unpriced = new LinkedHashSet<>();
    for (PartIn part : parts) {
      int before = taken.size();
      if (ProductParts.isMarc(part)) {
        continue;
      }
      PartIn.Infused infused = part.infused();
      if (infused != null) {
        infused(part, infused, taken, unpriced);
      } else if (part.lot() != null) {
        take(part.lot(), ProductParts.inLot(part, catalogues.current()), taken);
      }
      if (taken.size() == before && infused == null) {
        unpriced.add(low(ProductParts.name(part, catalogues.current())));
      }
    }
    return new Bill(
        taken.isEmpty()
            ? OptionalLong.empty()
            : OptionalLong.of(Cost.perTinMinor(taken, Math.max(1, tins))),
        List.copyOf(unpriced));
  }

  private static String low(String name) {
    return name.toLowerCase(Locale.ROOT);
  }

  /** Adds the share of a batch's lots that the oil is, and what of them has no price. */
  private void infused(
      PartIn part, PartIn.Infused infused, List<Cost.Taken> taken, Set<String> unpriced) {
    String name = low(ProductParts.name(part, catalogues.current()));
    BatchRecord batch;
    try {
      batch = batches.find(infused.batch());
    } catch (NotFound e) {
      unpriced.add(name);
      return;
    }
    Strained out = batch.state().strained();
    if (out == null) {
      unpriced.add(name);
      return;
    }
    double ml = ProductParts.ml(part, catalogues.current());
    double share = Math.min(1, ml / out.oilMl());
    Charged charge = batch.state().charge();
    for (HerbIn herb : charge.herbs()) {
      if (!take(herb.lot(), herb.massG().middle() * share, taken)) {
        unpriced.add(low(catalogues.current().herb(herb.herb()).name()));
      }
    }
    double shares = charge.carriers().stream().mapToDouble(OilIn::share).sum();
    for (OilIn oil : charge.carriers()) {
      double oilMl = batch.state().oilMl().middle() * oil.share() / shares;
      if (!take(oil.lot(), oilMl * share, taken)) {
        unpriced.add(low(catalogues.current().carrier(oil.carrier()).name()));
      }
    }
  }

  private boolean take(@Nullable UUID lot, double amount, List<Cost.Taken> taken) {
    if (lot == null) {
      return false;
    }
    Lot held = drawer.find(lot).map(l -> l.lot()).orElse(null);
    Long price = held == null ? null : held.details().priceMinor();
    if (held == null || price == null || held.most() <= 0) {
      return false;
    }
    taken.add(new Cost.Taken(Math.min(amount, held.most()), held.most(), price));
    return true;
  }
}
