package velvetcrock.plans;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.care.Ahead;
import velvetcrock.core.care.Task;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.diary.House;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Span;
import velvetcrock.core.outlook.Supply;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.drawer.Promises;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.JarAtHand;
import velvetcrock.kitchen.Vessels;

/** What there is to plan with: what the drawer has not promised, jars, and appliances. */
@Component
class Larder {
  /** Jars that are free in the last weeks before a day are free for it. */
  private static final int WEEKS_THAT_COUNT = 6;

  private static final double AN_EMPTY_LOT = 1e-6;

  private final Drawer drawer;
  private final Promises promises;
  private final Vessels vessels;
  private final Appliances appliances;
  private final Batches batches;
  private final Catalogues catalogues;

  Larder(
      Drawer drawer,
      Promises promises,
      Vessels vessels,
      Appliances appliances,
      Batches batches,
      Catalogues catalogues) {
    this.drawer = drawer;
    this.promises = promises;
    this.vessels = vessels;
    this.appliances = appliances;
    this.batches = batches;
    this.catalogues = catalogues;
  }

  /** What there is for something asked. */
  Supply supply(Asked asked, List<Planned> plans, Household house, LocalDateTime now) {
    Map<UUID, Double> promised = promises.promised();
    List<LotRecord> spirits = drawer.choices(Kind.SPIRIT, "", null);
    return new Supply(
        asked.shopping(),
        stock(drawer.choices(Kind.HERB, asked.herb().key(), null), promised),
        stock(drawer.choices(Kind.CARRIER, asked.carrier().key(), null), promised),
        stock(spirits, promised),
        spirits.stream()
            .map(l -> l.lot().details().abvPercent())
            .filter(abv -> abv != null)
            .findFirst()
            .orElse(SpiritStep.USUAL_ABV),
        jars(plans, house, now, asked.by()),
        appliances.all().stream().map(Appliances.Owned::kind).collect(Collectors.toSet()));
  }

  private static List<Supply.Stock> stock(List<LotRecord> lots, Map<UUID, Double> promised) {
    List<Supply.Stock> stock = new ArrayList<>();
    for (LotRecord record : lots) {
      Lot lot = record.lot();
      double left = lot.amount() - promised.getOrDefault(record.id(), 0.0);
      if (left > AN_EMPTY_LOT) {
        stock.add(
            new Supply.Stock(
                record.id().toString(), lot.details().plant().state(), left, price(lot)));
      }
    }
    return stock;
  }

  private static OptionalDouble price(Lot lot) {
    Long minor = lot.details().priceMinor();
    return minor == null || lot.most() <= 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(minor / lot.most());
  }

  /** The dates of the oil that would be used first; bought today where there is none. */
  List<CarrierDates> dates(Asked asked) {
    return List.of(
        drawer.choices(Kind.CARRIER, asked.carrier().key(), null).stream()
            .filter(l -> l.lot().amount() > AN_EMPTY_LOT)
            .findFirst()
            .map(l -> l.lot().dates(catalogues.current(), 1))
            .orElseGet(() -> new CarrierDates(asked.carrier(), 1, null, null, null)));
  }

  /** The jars that are free in the weeks before a day. */
  private List<JarChoice.Free> jars(
      List<Planned> plans, Household house, LocalDateTime now, LocalDate by) {
    LocalDateTime until = by.plusDays(1).atStartOfDay();
    LocalDateTime weeks = until.minusWeeks(WEEKS_THAT_COUNT);
    LocalDateTime from = weeks.isAfter(now) ? weeks : now;
    Span counts = new Span(from, until.isAfter(from) ? until : from.plusDays(1));
    Map<String, Integer> busy = new HashMap<>();
    for (House.Taken taken : taken(house.zone(), now)) {
      if (taken.span().overlaps(counts)) {
        busy.merge(taken.what(), taken.count(), Integer::sum);
      }
    }
    for (Planned plan : plans) {
      if (plan.timetable(house.zone(), house.hours()).inJar().overlaps(counts)) {
        plan.details().jars().forEach((key, count) -> busy.merge(key, count, Integer::sum));
      }
    }
    return vessels.all().stream()
        .filter(JarAtHand::choosable)
        .map(
            at ->
                at.count().isEmpty()
                    ? JarChoice.Free.enough(at.jar())
                    : new JarChoice.Free(
                        at.jar(),
                        Math.max(0, at.count().getAsInt() - busy.getOrDefault(at.jar().key(), 0))))
        .toList();
  }

  /** The kitchen as the diary sees it: what there is of everything, and what stands already. */
  House house(Household house, LocalDateTime now) {
    Map<String, Integer> counted = new HashMap<>();
    for (JarAtHand at : vessels.all()) {
      at.count().ifPresent(count -> counted.put(at.jar().key(), count));
    }
    List<House.Heater> heaters =
        appliances.all().stream()
            .map(a -> new House.Heater(a.id().toString(), a.name(), a.kind(), a.holds()))
            .toList();
    return new House(heaters, counted, taken(house.zone(), now), house.hours());
  }

  /**
   * The jars that stand, until they should be strained at the latest, and the places that they have
   * on the heat, until they come off.
   */
  private List<House.Taken> taken(ZoneId zone, LocalDateTime now) {
    List<House.Taken> taken = new ArrayList<>();
    for (BatchRecord batch : batches.standing()) {
      String jar = batch.state().charge().jar().key();
      LocalDateTime until =
          new BatchReckoning(catalogues.current(), batch.state())
              .window(zone)
              .doneBy(batch.state().charge().begun().chargedOn())
              .plusDays(1)
              .atStartOfDay();
      if (jar != null && until.isAfter(now)) {
        taken.add(new House.Taken(jar, 1, new Span(now, until), batch.code(), null));
      }
      onHeat(batch, zone, now).ifPresent(taken::add);
    }
    return taken;
  }

  private Optional<House.Taken> onHeat(BatchRecord batch, ZoneId zone, LocalDateTime now) {
    Instant moment = now.atZone(zone).toInstant();
    Method method = batch.state().charge().method();
    Optional<String> heater =
        batch.state().heat().now().flatMap(stint -> Optional.ofNullable(stint.heater().key()));
    Optional<LocalDateTime> off =
        new Ahead(catalogues.current())
            .of(batch.state(), moment).stream()
                .filter(c -> c.kind() == Task.Kind.OFF_HEAT)
                .findFirst()
                .map(c -> LocalDateTime.ofInstant(c.at(), zone));
    return heater.flatMap(
        key ->
            off.map(until -> new House.Taken(key, 1, new Span(now, until), batch.code(), method)));
  }
}
