package velvetcrock.plans;

import java.time.LocalDateTime;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import velvetcrock.batch.Experience;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.outlook.Outlook;
import velvetcrock.core.outlook.Want;
import velvetcrock.core.outlook.WantOrder;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.products.Products;
import velvetcrock.web.HeldUntilChanged;

/** Looks ahead: every way from what there is to what is wanted. */
@Service
class Outlooks {
  private final PlanBook book;
  private final Larder larder;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Experience experience;
  private final Products products;

  Outlooks(
      PlanBook book,
      Larder larder,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Experience experience,
      Products products) {
    this.book = book;
    this.larder = larder;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.experience = experience;
    this.products = products;
  }

  /**
   * Every way to what is asked: held, for whoever looks at one of them and then at another. What it
   * asks of the store is held as well, so it begins nothing of its own.
   *
   * @param now from when on
   */
  @HeldUntilChanged(rows = 250)
  Outlook outlook(Asked asked, LocalDateTime now) {
    Household house = households.current();
    return Outlook.of(
        new WantOrder(
            Thing.want(asked.things()),
            asked.by(),
            asked.herb(),
            asked.part(),
            asked.cut(),
            larder.dates(asked),
            asked.safeFor(),
            larder.supply(asked, book.open(), house, now),
            house.hours(),
            asked.ratio(),
            now),
        catalogues.current(),
        cautions,
        new Outlook.Own(
            experience.own(),
            new Want.Pan(
                catalogues.current().wax(Outlook.HARDENS), harder(), products.overrun().mean())));
  }

  /** How much harder than usual each kind is liked. */
  private Map<Firmness, Double> harder() {
    return products.tastes(Outlook.HARDENS).entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().mean()));
  }
}
