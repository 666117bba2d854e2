package velvetcrock.shelf;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Places;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.SameUntilChanged;

/** Home. */
@Controller
class ShelfController {
  private final Households households;
  private final Places places;
  private final Batches batches;
  private final Catalogues catalogues;
  private final RoundReader reader;

  ShelfController(
      Households households,
      Places places,
      Batches batches,
      Catalogues catalogues,
      RoundReader reader) {
    this.households = households;
    this.places = places;
    this.batches = batches;
    this.catalogues = catalogues;
    this.reader = reader;
  }

  @SameUntilChanged(held = true)
  @GetMapping("/")
  String shelf(Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    List<Place> planks = places.all();
    List<BatchRecord> standing = batches.standing();
    model.addAttribute("shelf", ShelfView.of(planks, standing, catalogues.current(), fmt));
    model.addAttribute("key", FreshKeys.next());
    model.addAttribute("round", reader.round(house, planks, standing, fmt));
    return "shelf/shelf";
  }
}
