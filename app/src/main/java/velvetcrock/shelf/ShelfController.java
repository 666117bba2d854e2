package velvetcrock.shelf;

import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.plan.Round;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.web.Formats;

/** Home. */
@Controller
class ShelfController {
  private final Households households;
  private final Batches batches;
  private final Catalogue catalogue;
  private final Clock clock;

  ShelfController(Households households, Batches batches, Catalogue catalogue, Clock clock) {
    this.households = households;
    this.batches = batches;
    this.catalogue = catalogue;
    this.clock = clock;
  }

  @GetMapping("/")
  String shelf(Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    List<Place> places = households.places();
    List<BatchRecord> standing = batches.standing();
    Round round = new Round(catalogue, house.zone(), fmt.today());
    int hour = clock.instant().atZone(house.zone()).getHour();
    model.addAttribute("shelf", ShelfView.of(places, standing, catalogue, fmt));
    model.addAttribute(
        "round", RoundView.of(places, standing, batches.bottles(), round, catalogue, fmt, hour));
    return "shelf/shelf";
  }
}
