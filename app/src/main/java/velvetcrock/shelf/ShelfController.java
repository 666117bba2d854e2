package velvetcrock.shelf;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.core.keeping.OwnShelfLife;
import velvetcrock.core.plan.DryingRound;
import velvetcrock.core.plan.Round;
import velvetcrock.drawer.Dryings;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.web.Formats;

/** Home. */
@Controller
class ShelfController {
  private static final int MOST_LOADS = 20;

  private final Households households;
  private final Batches batches;
  private final BottleBook book;
  private final Catalogues catalogues;
  private final Dryings dryings;
  private final Clock clock;

  ShelfController(
      Households households,
      Batches batches,
      BottleBook book,
      Catalogues catalogues,
      Dryings dryings,
      Clock clock) {
    this.households = households;
    this.batches = batches;
    this.book = book;
    this.catalogues = catalogues;
    this.dryings = dryings;
    this.clock = clock;
  }

  @GetMapping("/")
  String shelf(Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    List<Place> places = households.places();
    List<BatchRecord> standing = batches.standing();
    Instant now = clock.instant();
    Round round = new Round(catalogues.current(), house.zone(), now);
    int hour = now.atZone(house.zone()).getHour();
    List<RoundView.Load> loads =
        dryings.standing(MOST_LOADS).stream()
            .map(l -> new RoundView.Load(l, new DryingRound(house.zone(), now).tasks(l.drying())))
            .toList();
    model.addAttribute("shelf", ShelfView.of(places, standing, catalogues.current(), fmt));
    model.addAttribute(
        "round",
        RoundView.of(
            places,
            standing,
            bottles(round, fmt),
            loads,
            loads.size() < MOST_LOADS ? 0 : dryings.count() - loads.size(),
            round,
            catalogues.current(),
            fmt,
            hour));
    return "shelf/shelf";
  }

  /** Bottles that want something, with what. */
  private List<RoundView.Waiting> bottles(Round round, Formats fmt) {
    Map<BottleBook.Shelf, OwnShelfLife> own = book.ownShelfLives();
    return book.wanting(fmt.today().plusDays(Round.SMELL_BEFORE_DAYS), own).stream()
        .map(
            bottle ->
                new RoundView.Waiting(
                    bottle,
                    round.bottle(
                        bottle.bottle(), bottle.bestBefore(), book.smellFrom(bottle, own))))
        .toList();
  }
}
