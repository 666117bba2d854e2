package velvetcrock.drawer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Season;
import velvetcrock.core.stock.StockAhead;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;
import velvetcrock.web.SameUntilChanged;

/** Stock-taking ahead: what runs out or goes over, and what to do by when. */
@Controller
class StockAheadController {
  private static final Map<String, Season> SEASONS = Season.shipped();

  private final Drawer drawer;
  private final Promises promises;
  private final BottledOil bottled;
  private final Households households;
  private final Catalogues catalogues;

  StockAheadController(
      Drawer drawer,
      Promises promises,
      BottledOil bottled,
      Households households,
      Catalogues catalogues) {
    this.drawer = drawer;
    this.promises = promises;
    this.bottled = bottled;
    this.households = households;
    this.catalogues = catalogues;
  }

  @SameUntilChanged(held = true)
  @GetMapping("/drawer/ahead")
  String ahead(Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Catalogue catalogue = catalogues.current();
    Map<UUID, Double> promised = promises.promised();
    Map<Drawer.Thing, LocalDate> firsts = drawer.firsts(fmt.today());
    Map<Drawer.Thing, List<LotRecord>> shelves = new LinkedHashMap<>();
    Instant habit = StockAhead.habitSince(fmt.today()).atStartOfDay(house.zone()).toInstant();
    for (LotRecord lot : drawer.since(habit)) {
      LotDetails details = lot.lot().details();
      shelves
          .computeIfAbsent(
              new Drawer.Thing(details.kind(), details.thing()), s -> new ArrayList<>())
          .add(lot);
    }
    LotWords words = new LotWords(catalogue, fmt);
    List<StockAheadView.Named> looked = new ArrayList<>();
    shelves.forEach(
        (shelf, lots) -> {
          StockAhead.Thing thing =
              StockAhead.Thing.of(
                  lots.stream().map(LotRecord::lot).toList(),
                  firsts.getOrDefault(shelf, fmt.today()),
                  lots.stream().mapToDouble(l -> promised.getOrDefault(l.id(), 0.0)).sum(),
                  shelf.kind() == LotDetails.Kind.HERB ? SEASONS.get(shelf.key()) : null,
                  catalogue,
                  house.zone());
          looked.add(
              new StockAheadView.Named(
                  words.thing(shelf.kind(), shelf.key()),
                  shelf.kind(),
                  "/drawer/of/"
                      + shelf.kind()
                      + "/"
                      + (shelf.key().isEmpty() ? "any" : shelf.key()),
                  StockAhead.of(thing, fmt.today())));
        });
    looked.sort(
        Comparator.comparing(StockAheadView.Named::kind).thenComparing(StockAheadView.Named::name));
    for (BottledOil.Oil oil : bottled.oils(fmt.today())) {
      looked.add(
          new StockAheadView.Named(
              catalogue.herb(oil.herb()).name()
                  + " in "
                  + catalogue.carrier(oil.carrier()).name().toLowerCase(Locale.ROOT),
              LotDetails.Kind.CARRIER,
              "/cellar?herb=" + oil.herb(),
              StockAhead.of(oil.thing(), fmt.today())));
    }
    model.addAttribute("view", StockAheadView.of(looked, words, fmt));
    return "drawer/ahead";
  }
}
