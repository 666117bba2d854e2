package velvetcrock.shelf;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.BottleBook;
import velvetcrock.core.care.Care;
import velvetcrock.core.care.DryingRound;
import velvetcrock.core.care.ProductRound;
import velvetcrock.core.care.Round;
import velvetcrock.core.keeping.OwnShelfLife;
import velvetcrock.drawer.Dryings;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Place;
import velvetcrock.plans.Plans;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.ProductWords;
import velvetcrock.products.Products;
import velvetcrock.web.Formats;

/** Gathers from every place what wants doing. */
@Component
class RoundReader {
  private static final int MOST_LOADS = 20;

  private final BottleBook book;
  private final Catalogues catalogues;
  private final Dryings dryings;
  private final Plans plans;
  private final Products products;
  private final RoundNotes notes;
  private final Clock clock;

  RoundReader(
      BottleBook book,
      Catalogues catalogues,
      Dryings dryings,
      Plans plans,
      Products products,
      RoundNotes notes,
      Clock clock) {
    this.book = book;
    this.catalogues = catalogues;
    this.dryings = dryings;
    this.plans = plans;
    this.products = products;
    this.notes = notes;
    this.clock = clock;
  }

  /** The round as it is now. */
  RoundView round(Household house, List<Place> places, List<BatchRecord> standing, Formats fmt) {
    Instant now = clock.instant();
    Round round = new Round(catalogues.current(), house.zone(), now);
    List<RoundView.Load> loads =
        dryings.standing(MOST_LOADS).stream()
            .map(l -> new RoundView.Load(l, new DryingRound(house.zone(), now).tasks(l.drying())))
            .toList();
    return RoundView.of(
        new RoundView.Everything(
            places,
            standing,
            bottles(round, fmt),
            loads,
            loads.size() < MOST_LOADS ? 0 : dryings.count() - loads.size(),
            plans.open(),
            products(house, fmt),
            notes.live()),
        round,
        catalogues.current(),
        fmt,
        now.atZone(house.zone()).getHour());
  }

  /** Products that want something, with what. */
  private List<RoundView.Made> products(Household house, Formats fmt) {
    ProductRound round = new ProductRound(house.zone(), fmt.today());
    ProductWords words = new ProductWords(catalogues.current(), fmt);
    List<RoundView.Made> wanting = new ArrayList<>();
    for (ProductRecord product : products.wanting(fmt.today().plusDays(Care.SMELLED_FROM_DAYS))) {
      round
          .task(product.state(), product.bestBefore())
          .ifPresent(
              task ->
                  wanting.add(
                      new RoundView.Made(
                          product.code(),
                          words.name(product.state()),
                          product.bestBefore(),
                          task)));
    }
    return wanting;
  }

  /** Bottles that want something, with what. */
  private List<RoundView.Waiting> bottles(Round round, Formats fmt) {
    Map<BottleBook.Shelf, OwnShelfLife> own = book.ownShelfLives();
    return book.wanting(fmt.today().plusDays(Care.SMELLED_FROM_DAYS), own).stream()
        .map(
            bottle ->
                new RoundView.Waiting(
                    bottle,
                    round.bottle(
                        bottle.bottle(), bottle.bestBefore(), book.smellFrom(bottle, own))))
        .toList();
  }
}
