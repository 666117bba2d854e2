package velvetcrock.shelf;

import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.plan.Round;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.web.Formats;

/** Home. */
@Controller
class ShelfController {
  private final Households households;
  private final Batches batches;
  private final Catalogues catalogues;
  private final Clock clock;

  ShelfController(Households households, Batches batches, Catalogues catalogues, Clock clock) {
    this.households = households;
    this.batches = batches;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  @GetMapping("/")
  String shelf(Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    List<Place> places = households.places();
    List<BatchRecord> standing = batches.standing();
    Round round = new Round(catalogues.current(), house.zone(), fmt.today());
    int hour = clock.instant().atZone(house.zone()).getHour();
    model.addAttribute("shelf", ShelfView.of(places, standing, catalogues.current(), fmt));
    model.addAttribute(
        "round",
        RoundView.of(places, standing, batches.bottles(), round, catalogues.current(), fmt, hour));
    return "shelf/shelf";
  }
}
