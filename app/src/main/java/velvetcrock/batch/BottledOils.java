package velvetcrock.batch;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.stock.StockAhead;
import velvetcrock.drawer.BottledOil;
import velvetcrock.kitchen.Households;
import velvetcrock.web.HeldUntilChanged;

/** What infused oil there is in bottles and how fast it was used, for looking a year ahead. */
@Component
class BottledOils implements BottledOil {
  private final BottleRepository bottles;
  private final Households households;

  BottledOils(BottleRepository bottles, Households households) {
    this.bottles = bottles;
    this.households = households;
  }

  private record Sort(String herb, String carrier) {}

  private record Gathering(
      List<StockAhead.Held> held, List<StockAhead.Used> used, LocalDate since) {}

  @Override
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<Oil> oils(LocalDate today) {
    ZoneId zone = households.current().zone();
    LocalDate year = today.minusYears(1);
    Map<Sort, Gathering> sorts = new LinkedHashMap<>();
    bottles
        .sorts(year)
        .forEach(
            row ->
                sorts.put(
                    new Sort(row.herbKey(), row.carrierKey()),
                    new Gathering(new ArrayList<>(), new ArrayList<>(), row.since())));
    for (BottleRepository.Dated row : bottles.datedBySort()) {
      Gathering oil = sorts.get(new Sort(row.herbKey(), row.carrierKey()));
      oil.held().add(new StockAhead.Held(row.ml(), row.bestBefore()));
    }
    for (BottleRepository.Draw row : bottles.draws(year.atStartOfDay(zone).toInstant())) {
      Gathering oil = sorts.get(new Sort(row.herbKey(), row.carrierKey()));
      if (oil != null) {
        Drawn drawn = (Drawn) BatchStorage.STORAGE.read("drawn", row.version(), row.data());
        LocalDate on = row.at().atZone(zone).toLocalDate();
        oil.used().add(new StockAhead.Used(on, drawn.ml()));
      }
    }
    return sorts.entrySet().stream().map(e -> oil(e.getKey(), e.getValue())).toList();
  }

  private static Oil oil(Sort sort, Gathering g) {
    return new Oil(
        sort.herb(),
        sort.carrier(),
        new StockAhead.Thing(g.held(), g.used(), g.since(), 0, new StockAhead.Infused()));
  }
}
