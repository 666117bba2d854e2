package velvetcrock.core.keeping;

import static velvetcrock.core.Figures.plain;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.keeping.InfusingLeg.Spending;
import velvetcrock.core.keeping.Keeping.Change;
import velvetcrock.core.keeping.Keeping.Gain;
import velvetcrock.core.keeping.Keeping.Leg;
import velvetcrock.core.keeping.Keeping.Rule;
import velvetcrock.core.keeping.KeepingOrder.StoredLeg;
import velvetcrock.core.materia.HerbState;

/**
 * Reckons a best-before. What the carrier brought (days from charging to its own date) is spent
 * while infusing and in store; the date at which it is used up, the carrier's own date and the caps
 * compete, and the earliest wins. Heat, light and half-empty bottles never lengthen it.
 */
public final class Keeper {
  private static final int SKIN_MONTHS = 12;
  private static final int SKIN_FRIDGE_MONTHS = 24;
  private static final int WET_FRIDGE_DAYS = 14;
  private static final int KITCHEN_FRESH_DAYS = 4;
  private static final int KITCHEN_DRIED_MONTHS = 3;
  private static final int KITCHEN_FROZEN_MONTHS = 3;
  private static final double DANGER_LOW_C = 4;
  private static final double DANGER_HIGH_C = 60;
  private static final double DANGER_HOURS = 2;

  /** From here on somebody warmed it, °C: where the cautions' warmth begins. */
  public static final double WARMED_C = 38;

  private Keeper() {}

  /** Reckons when the oil should be gone, and what would lengthen it. */
  public static Keeping reckon(KeepingOrder order) {
    List<Spending> infusing = Lifetime.spendings(order);
    Keeping plain = decide(order, infusing);
    List<Gain> gains = new ArrayList<>();
    changes(order)
        .forEach(
            (change, store) -> {
              int days =
                  days(order, limit(order.withStore(store), infusing)) - plain.daysFromStraining();
              if (days > 0) {
                gains.add(new Gain(change, days));
              }
            });
    gains.sort(Comparator.comparingInt(Gain::days).reversed());
    return new Keeping(
        plain.bestBefore(),
        plain.span(),
        plain.daysFromStraining(),
        plain.decidedBy(),
        plain.startDays(),
        plain.spentDays(),
        plain.legs(),
        List.copyOf(gains),
        plain.reckoning());
  }

  /** The last good day alone, without what would lengthen it. */
  public static LocalDate bestBefore(KeepingOrder order) {
    return order.strainedOn().plusDays(days(order, limit(order, Lifetime.spendings(order))));
  }

  /** What decides, without how it came about. */
  private static Limit limit(KeepingOrder order, List<Spending> infusing) {
    LocalDate ownDate = ownDate(order.carriers());
    Lifetime lifetime =
        new Lifetime(order, infusing, ChronoUnit.DAYS.between(order.chargedOn(), ownDate));
    return cap(order, ownDate).or(aged(order, lifetime.usualStoreDays()));
  }

  /** The earliest own date among the carriers that count. */
  public static LocalDate ownDate(List<CarrierDates> carriers) {
    double total = carriers.stream().mapToDouble(CarrierDates::share).sum();
    return carriers.stream()
        .filter(c -> c.share() / total >= KeepingOrder.COUNTING_SHARE)
        .flatMap(c -> c.ownDate().stream())
        .min(LocalDate::compareTo)
        .orElseThrow();
  }

  /** Whether a carrier below the counting share has an own date before this. */
  private static boolean leftOut(KeepingOrder order, LocalDate date) {
    double total = order.carriers().stream().mapToDouble(CarrierDates::share).sum();
    return order.carriers().stream()
        .filter(c -> c.share() / total < KeepingOrder.COUNTING_SHARE)
        .flatMap(c -> c.ownDate().stream())
        .anyMatch(own -> own.isBefore(date));
  }

  private record Limit(Rule rule, LocalDate date, String why) {
    /** The earlier of the two; this one where both are of one day. */
    Limit or(Limit other) {
      return other.date.isBefore(date) ? other : this;
    }
  }

  private static Limit aged(KeepingOrder order, double storeDays) {
    return new Limit(
        Rule.AGEING,
        order.strainedOn().plusDays((long) Math.floor(storeDays)),
        "when what the carrier brought is spent");
  }

  private static int days(KeepingOrder order, Limit limit) {
    return (int) Math.max(0, ChronoUnit.DAYS.between(order.strainedOn(), limit.date()));
  }

  private static Keeping decide(KeepingOrder order, List<Spending> infusing) {
    Reckoning.Writer lines = Reckoning.writer();
    LocalDate ownDate = ownDate(order.carriers());
    double start =
        lines.line(
            "Shelf life brought",
            "from charging on " + order.chargedOn() + " to the carrier’s own date " + ownDate,
            ChronoUnit.DAYS.between(order.chargedOn(), ownDate),
            "days",
            Standing.STANDARD);
    List<Leg> legs = new ArrayList<>();
    Lifetime lifetime = new Lifetime(order, infusing, start);
    List<Double> spentInLegs = lifetime.spent();
    double spent = 0;
    if (order.before().isPresent()) {
      KeepingOrder.Before before = order.before().get();
      spent += before.spentDays();
      legs.add(
          new Leg(
              before.name(),
              before.days(),
              before.days() == 0 ? 1 : before.spentDays() / before.days(),
              before.spentDays()));
      lines.line(
          "Spent before it was charged again",
          before.name() + ", " + plain(before.days()) + " days",
          before.spentDays(),
          "days",
          Standing.ESTIMATE);
    }
    int over = legs.size() + order.infusing().size();
    for (int i = 0; i < order.infusing().size(); i++) {
      InfusingLeg leg = order.infusing().get(i);
      double legSpent = spentInLegs.get(i);
      spent += legSpent;
      double rate = leg.days() == 0 ? leg.light().factor() : legSpent / leg.days();
      legs.add(new Leg(leg.name(), leg.days(), rate, legSpent));
      lines.line(
          "Spent " + leg.name(),
          plain(leg.days()) + " days, each worth " + plain(rate) + " at 20 °C in the dark",
          legSpent,
          "days",
          Standing.ESTIMATE);
    }
    double inStore = storeDays(order, start - spent, legs, lines);
    Limit aged = aged(order, inStore);
    Limit cap = cap(order, ownDate);
    Limit limit = cap.or(aged);
    Range store = lifetime.storeDays();
    int days = days(order, limit);
    int shortest = Math.min(days, days(order, cap.or(aged(order, store.low()))));
    int longest = Math.max(days, days(order, cap.or(aged(order, store.high()))));
    cutShort(legs, over, days);
    lines.line(
        "Good for", "decided by: " + limit.why(), days, "days from straining", Standing.ESTIMATE);
    lines.line(
        "Good for, at the least and at the most",
        "activation energy 60–80 kJ/mol, and light, air and antioxidant at either end",
        new Range(shortest, longest),
        "days from straining",
        Standing.ESTIMATE);
    return new Keeping(
        order.strainedOn().plusDays(days),
        new Keeping.Span(
            order.strainedOn().plusDays(shortest),
            order.strainedOn().plusDays(longest),
            leftOut(order, limit.date())),
        days,
        limit.rule(),
        start,
        spent,
        List.copyOf(legs),
        List.of(),
        lines.done());
  }

  /** It stands no longer than it is good, whatever would be left of it then. */
  private static void cutShort(List<Leg> legs, int infusing, double days) {
    double before = 0;
    for (int i = infusing; i < legs.size() - 1; i++) {
      before += legs.get(i).days();
    }
    Leg last = legs.get(legs.size() - 1);
    double stands = Math.max(0, Math.min(last.days(), days - before));
    legs.set(legs.size() - 1, new Leg(last.name(), stands, last.rate(), stands * last.rate()));
  }

  /** Days in store until nothing is left: the legs that are over, then the present one. */
  private static double storeDays(
      KeepingOrder order, double left, List<Leg> legs, Reckoning.Writer lines) {
    double days = 0;
    for (StoredLeg leg : order.stored()) {
      double rate = leg.store().rate();
      double lasting = Math.min(leg.days(), Math.max(0, left) / rate);
      legs.add(new Leg(leg.name(), leg.days(), rate, leg.days() * rate));
      days += lasting;
      left -= leg.days() * rate;
    }
    double rate = order.store().rate();
    double rest = Math.max(0, left) / rate;
    legs.add(new Leg(order.store().words(), rest, rate, rest * rate));
    lines.line(
        "In store",
        plain(Math.max(0, left))
            + " days left ÷ "
            + plain(rate)
            + " spent a day "
            + order.store().words(),
        days + rest,
        "days",
        Standing.ESTIMATE);
    return days + rest;
  }

  /** The earliest of what is never passed, however well it stands. */
  private static Limit cap(KeepingOrder order, LocalDate ownDate) {
    return Stream.concat(
            caps(order).stream(),
            Stream.concat(
                order.before().stream()
                    .map(
                        b ->
                            new Limit(
                                Rule.EARLIER_OIL,
                                b.goodUntil(),
                                "never later than the oil that was charged again")),
                Stream.of(
                    new Limit(
                        Rule.CARRIER_DATE, ownDate, "never later than the carrier’s own date"))))
        .min(Comparator.comparing(Limit::date))
        .orElseThrow();
  }

  private static List<Limit> caps(KeepingOrder order) {
    return order.use() == Use.KITCHEN ? kitchenCaps(order) : skinCaps(order);
  }

  private static List<Limit> skinCaps(KeepingOrder order) {
    LocalDate strained = order.strainedOn();
    boolean fridge = onlyCold(order);
    if (order.freeWater()) {
      String why = "free water or fresh herb not driven dry: 14 days in the fridge, elsewhere none";
      return List.of(
          new Limit(Rule.FREE_WATER, strained.plusDays(fridge ? WET_FRIDGE_DAYS : 0), why));
    }
    return List.of(
        fridge
            ? new Limit(
                Rule.TWENTY_FOUR_MONTHS_FRIDGE,
                strained.plusMonths(SKIN_FRIDGE_MONTHS),
                "24 months in the fridge")
            : new Limit(Rule.TWELVE_MONTHS, strained.plusMonths(SKIN_MONTHS), "12 months"));
  }

  private static List<Limit> kitchenCaps(KeepingOrder order) {
    LocalDate strained = order.strainedOn();
    boolean wet = order.freeWater() || order.herbState() != HerbState.DRIED;
    if (wet && (dangerHours(order) > DANGER_HOURS || warmed(order))) {
      return List.of(
          new Limit(
              Rule.STOOD_WARM,
              strained,
              "it was warmed, or stood warmer than 4 °C for over 2 hours: throw it out"));
    }
    if (!onlyCold(order)) {
      return List.of(
          new Limit(
              Rule.KITCHEN_NOT_IN_FRIDGE, strained, "oil for eating is kept in the fridge only"));
    }
    return List.of(
        wet
            ? eatenFresh(order)
            : new Limit(
                Rule.KITCHEN_DRIED,
                strained.plusMonths(KITCHEN_DRIED_MONTHS),
                "for eating: 3 months in the fridge"));
  }

  /**
   * Fresh herb for eating: four days from charging that are not spent in the freezer, and three
   * months in it. Freezing stops the days and does not give any back.
   */
  private static Limit eatenFresh(KeepingOrder order) {
    LocalDate strained = order.strainedOn();
    double cool = ChronoUnit.DAYS.between(order.chargedOn(), strained);
    double frozen = 0;
    LocalDate at = strained;
    for (StoredLeg leg : order.stored()) {
      boolean freezer = leg.store().place() == Store.Place.FREEZER;
      LocalDate runsOut =
          freezer
              ? at.plusDays(frozenDays(at) - (long) Math.ceil(frozen))
              : at.plusDays(KITCHEN_FRESH_DAYS - (long) Math.ceil(cool));
      LocalDate ends = at.plusDays((long) Math.ceil(leg.days()));
      if (runsOut.isBefore(ends)) {
        return eatenFresh(runsOut, freezer);
      }
      cool += freezer ? 0 : leg.days();
      frozen += freezer ? leg.days() : 0;
      at = ends;
    }
    boolean freezer = order.store().place() == Store.Place.FREEZER;
    long left = KITCHEN_FRESH_DAYS - (long) Math.ceil(cool);
    return eatenFresh(
        freezer && left > 0
            ? at.plusDays(frozenDays(at) - (long) Math.ceil(frozen))
            : at.plusDays(left),
        freezer && left > 0);
  }

  private static Limit eatenFresh(LocalDate until, boolean frozen) {
    return frozen
        ? new Limit(
            Rule.KITCHEN_FROZEN,
            until,
            "for eating: 3 months frozen, then what is left of its 4 days in the fridge")
        : new Limit(Rule.KITCHEN_FRESH, until, "for eating: 4 days from charging at 4 °C or below");
  }

  /** How long three months in the freezer are from a day on. */
  private static long frozenDays(LocalDate from) {
    return ChronoUnit.DAYS.between(from, from.plusMonths(KITCHEN_FROZEN_MONTHS));
  }

  private static boolean onlyCold(KeepingOrder order) {
    return order.store().place().cold()
        && order.stored().stream().allMatch(l -> l.days() == 0 || l.store().place().cold());
  }

  /** Hours strictly between 4 and 60 °C; untraced ones count, as they are taken at 20 °C. */
  private static double dangerHours(KeepingOrder order) {

    return order.infusing().stream()
        .mapToDouble(
            leg -> leg.trace().hoursBetween(DANGER_LOW_C, DANGER_HIGH_C) + leg.untracedHours())
        .sum();
  }

  /** Whether it was warmed on the heat: it passes through the danger, and spores survive it. */
  private static boolean warmed(KeepingOrder order) {
    return order.infusing().stream()
        .anyMatch(leg -> leg.trace().hoursBetween(WARMED_C, Double.MAX_VALUE) > 0);
  }

  private static Map<Change, Store> changes(KeepingOrder order) {
    Store store = order.store();
    Map<Change, Store> changes = new EnumMap<>(Change.class);
    if (order.use() == Use.KITCHEN && store.place() == Store.Place.FRIDGE) {
      changes.put(Change.FREEZER, store.in(Store.Place.FREEZER));
    }
    if (!store.place().cold()) {
      changes.put(Change.FRIDGE, store.in(Store.Place.FRIDGE));
    }
    if (store.place() == Store.Place.ROOM || store.place() == Store.Place.WARM) {
      changes.put(Change.COOL, store.in(Store.Place.COOL));
    }
    if (store.glass() == Store.Glass.CLEAR) {
      changes.put(Change.AMBER, store.in(Store.Glass.AMBER));
    }
    if (store.fill() == Store.Fill.HALF) {
      changes.put(Change.FULL, store.at(Store.Fill.FULL));
    }
    if (store.antioxidant() == Store.Antioxidant.NONE) {
      changes.put(Change.VITAMIN_E, store.with(Store.Antioxidant.VITAMIN_E));
    }
    if (store.antioxidant() != Store.Antioxidant.ROSEMARY) {
      changes.put(Change.ROSEMARY, store.with(Store.Antioxidant.ROSEMARY));
    }
    return changes;
  }
}
