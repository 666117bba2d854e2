package velvetcrock.plans;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import velvetcrock.core.diary.Booking;
import velvetcrock.core.diary.Clash;
import velvetcrock.core.diary.Diary;
import velvetcrock.core.diary.House;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.core.measure.Quantity;
import velvetcrock.core.outlook.Span;
import velvetcrock.core.outlook.Timetable;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.JarAtHand;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.Formats;
import velvetcrock.web.MethodWords;
import velvetcrock.web.TimeAxis;

/** Puts plans into words and drawings. */
@Component
class PlanPages {
  private static final int MOST_SAID = 12;

  private final Plans plans;
  private final Households households;
  private final Places places;
  private final Catalogues catalogues;
  private final Vessels vessels;
  private final Drawer drawer;

  PlanPages(
      Plans plans,
      Households households,
      Places places,
      Catalogues catalogues,
      Vessels vessels,
      Drawer drawer) {
    this.plans = plans;
    this.households = households;
    this.places = places;
    this.catalogues = catalogues;
    this.vessels = vessels;
    this.drawer = drawer;
  }

  PlanView plan(Planned plan) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Catalogue catalogue = catalogues.current();
    PlanDetails details = plan.details();
    Timetable timetable = plan.timetable(house.zone(), house.hours());
    boolean now = !plan.begins().isAfter(fmt.now());
    List<OutlookView.Fact> facts = new ArrayList<>();
    facts.add(new OutlookView.Fact("Herb", fmt.g(details.amounts().herbG()), herb(details)));
    facts.add(
        new OutlookView.Fact(
            "Oil", fmt.ml(details.amounts().oilMl()), fmt.ratio(details.amounts().oilPerHerb())));
    if (details.amounts().spiritMl() > 0) {
      facts.add(
          new OutlookView.Fact("Spirit", fmt.ml(details.amounts().spiritMl()), "to dampen it"));
    }
    facts.add(
        new OutlookView.Fact("Comes out", fmt.ml(details.amounts().needMl()), "what it takes"));
    facts.add(
        new OutlookView.Fact(
            "Extracted",
            fmt.pull(details.outcome().pull()),
            "infused for " + fmt.hours(details.way().hours())));
    facts.add(
        new OutlookView.Fact(
            "Ready", fmt.nearDate(fmt.date(plan.ready())), "wanted " + fmt.date(plan.by())));
    List<String> clashes = new ArrayList<>();
    if (plan.open()) {
      Plans.Together together = plans.together(false);
      together.clashes().stream()
          .filter(c -> c.jobs().contains(plan.code()))
          .map(c -> clash(c, together.house(), fmt))
          .distinct()
          .limit(MOST_SAID)
          .forEach(clashes::add);
    }
    return new PlanView(
        plan.code(),
        details.words(fmt),
        catalogue.herb(details.plant().herb()).name()
            + " in "
            + catalogue.carrier(details.carrier()).name().toLowerCase(Locale.ROOT)
            + ", "
            + MethodWords.name(details.way().method()).toLowerCase(Locale.ROOT),
        plan.open()
            ? (now ? "Charge it now" : "Charge it " + fmt.moment(plan.begins()))
            : "It is no longer planned",
        now,
        plan.open() ? bench(plan, fmt) : null,
        facts,
        puts(details, fmt),
        OutlookView.steps(timetable, fmt),
        clashes);
  }

  private static String herb(PlanDetails details) {
    return (details.plant().state() + ", " + details.plant().cut()).toLowerCase(Locale.ROOT);
  }

  private List<String> puts(PlanDetails details, Formats fmt) {
    LotWords words = new LotWords(catalogues.current(), fmt);
    List<String> puts = new ArrayList<>();
    for (PlanDetails.FromLot from : details.lots()) {
      drawer
          .find(from.lot())
          .map(LotRecord::lot)
          .ifPresent(
              lot ->
                  puts.add(
                      words.amount(lot.details().kind(), from.amount())
                          + " of "
                          + words.name(lot)
                          + ", "
                          + words.origin(lot)));
    }
    Map<String, String> names =
        vessels.all().stream()
            .map(JarAtHand::jar)
            .collect(Collectors.toMap(j -> j.key(), j -> j.name(), (a, b) -> a));
    details
        .jars()
        .forEach(
            (key, count) ->
                puts.add(
                    (count == 1 ? "" : count + " × ")
                        + names.getOrDefault(key, "a vessel")
                        + (count == 1 ? ", empty" : ", all empty")));
    return puts;
  }

  /** Never more than is planned, so that it suffices. */
  private static String amount(double herbG, Formats fmt) {
    double grams = Math.floor(herbG * 100) / 100;
    return fmt.proposed(Quantity.WEIGHT, fmt.number(grams, 2) + " g", fmt.typedG(grams));
  }

  /** The bench with the plan's sentence filled in. */
  private String bench(Planned plan, Formats fmt) {
    PlanDetails d = plan.details();
    UriComponentsBuilder uri =
        UriComponentsBuilder.fromPath("/bench")
            .queryParam("plan", plan.code())
            .queryParam("amount", amount(d.amounts().herbG(), fmt))
            .queryParam("herbs[0].herb", d.plant().herb())
            .queryParam("herbs[0].part", d.plant().part().name())
            .queryParam("herbs[0].cut", d.plant().cut().name())
            .queryParam("herbs[0].state", d.plant().state().name())
            .queryParam("oils[0].carrier", d.carrier())
            .queryParam("ratioKind", "weight")
            .queryParam("ratio", Math.round(d.amounts().oilPerHerb() * 1000) / 1000.0)
            .queryParam("use", d.eaten() ? "KITCHEN" : "SKIN");
    lotOf(d, Kind.HERB).ifPresent(lot -> uri.queryParam("herbs[0].lot", lot));
    lotOf(d, Kind.CARRIER).ifPresent(lot -> uri.queryParam("oils[0].lot", lot));
    if (d.way().method() != Method.COLD && d.way().method() != Method.SOLAR) {
      uri.queryParam("method", d.way().method().name());
    }
    places.all().stream()
        .filter(p -> p.method() == (d.way().method() == Method.SOLAR ? Method.SOLAR : Method.COLD))
        .map(Place::id)
        .findFirst()
        .ifPresent(place -> uri.queryParam("place", place));
    if (d.jars().size() == 1 && d.jars().values().iterator().next() == 1) {
      uri.queryParam("jar", d.jars().keySet().iterator().next());
    }
    return uri.encode().toUriString();
  }

  private Optional<String> lotOf(PlanDetails details, Kind kind) {
    return details.lots().stream()
        .filter(
            from ->
                drawer.find(from.lot()).filter(l -> l.lot().details().kind() == kind).isPresent())
        .map(from -> from.lot().toString())
        .findFirst();
  }

  TogetherView together() {
    Household house = households.current();
    Formats fmt = households.formats(house);
    LocalDateTime now = households.now(house);
    Plans.Together together = plans.together(true);
    LocalDateTime end =
        together.plans().stream()
            .map(p -> p.by().plusDays(1).atStartOfDay())
            .max(Comparator.naturalOrder())
            .filter(last -> last.isAfter(now.plusDays(1)))
            .orElse(now.plusDays(1));
    LocalDateTime last =
        together.bookings().stream()
            .map(b -> b.timetable().ready())
            .max(Comparator.naturalOrder())
            .filter(ready -> ready.isAfter(end))
            .orElse(end);
    TimeAxis axis =
        new TimeAxis(now, last.plusHours(Math.max(2, Duration.between(now, last).toHours() / 25)));
    Set<String> clashing = new HashSet<>();
    together.clashes().forEach(c -> clashing.addAll(c.jobs()));
    List<TogetherView.Lane> lanes = new ArrayList<>();
    for (int i = 0; i < together.plans().size(); i++) {
      lanes.add(lane(together.plans().get(i), together.bookings().get(i), axis, clashing, fmt));
    }
    return new TogetherView(
        axis.ticks(fmt, now),
        lanes,
        heaters(together, axis, fmt),
        together.clashes().stream()
            .map(c -> clash(c, together.house(), fmt))
            .distinct()
            .limit(MOST_SAID)
            .toList(),
        together.settled().map(s -> shifts(s, together, fmt)).orElse(List.of()),
        together.settled().map(Diary.Settled::clashes).orElse(List.of()).stream()
            .map(c -> clash(c, together.house(), fmt))
            .distinct()
            .limit(MOST_SAID)
            .toList(),
        together.settled().isPresent()
            ? "Found by trying begins one after the other and then searching for smaller shifts."
            : "No search was needed: each begins as late as it can, and none is in another’s way.");
  }

  private TogetherView.Lane lane(
      Planned plan, Booking booking, TimeAxis axis, Set<String> clashing, Formats fmt) {
    Catalogue catalogue = catalogues.current();
    PlanDetails details = plan.details();
    Timetable timetable = booking.timetable();
    String when =
        "charge "
            + fmt.moment(plan.begins())
            + ", ready "
            + fmt.nearDate(timetable.ready().toLocalDate());
    return new TogetherView.Lane(
        plan.code(),
        details.words(fmt),
        catalogue.herb(details.plant().herb()).name()
            + ", "
            + MethodWords.name(details.way().method()).toLowerCase(Locale.ROOT),
        when,
        axis.piece(timetable.inJar()),
        axis.piece(new Span(timetable.inJar().until(), timetable.ready())),
        timetable.onHeat().stream().map(axis::piece).toList(),
        axis.percent(plan.by().plusDays(1).atStartOfDay()),
        catalogue.herb(details.plant().herb()).colours().tint(),
        clashing.contains(plan.code()),
        plan.code() + ": " + when + ", wanted by " + fmt.date(plan.by()));
  }

  private static List<TogetherView.HeaterLane> heaters(
      Plans.Together together, TimeAxis axis, Formats fmt) {
    List<TogetherView.HeaterLane> lanes = new ArrayList<>();
    for (House.Heater heater : together.house().heaters()) {
      List<TogetherView.Use> uses =
          together.bookings().stream()
              .filter(b -> heater.id().equals(b.heater()))
              .flatMap(
                  b ->
                      b.timetable().onHeat().stream()
                          .map(
                              span ->
                                  new TogetherView.Use(
                                      axis.piece(span),
                                      b.job().id()
                                          + ", "
                                          + fmt.nearDate(span.from().toLocalDate())
                                          + " "
                                          + span.from().toLocalTime())))
              .toList();
      if (!uses.isEmpty()) {
        lanes.add(
            new TogetherView.HeaterLane(
                heater.name(),
                heater.holds() == 1 ? "holds one jar" : "holds " + heater.holds() + " jars",
                uses));
      }
    }
    return lanes;
  }

  private String clash(Clash clash, House house, Formats fmt) {
    String who = String.join(" and ", clash.jobs());
    String others =
        clash.others().isEmpty() ? "" : ", where " + String.join(", ", clash.others()) + " stands";
    String when = fmt.nearDate(clash.span().from().toLocalDate());
    String at = when + " " + clash.span().from().toLocalTime().withSecond(0).withNano(0);
    Map<String, House.Heater> heaters =
        house.heaters().stream().collect(Collectors.toMap(House.Heater::id, Function.identity()));
    String heater =
        heaters.containsKey(clash.what()) ? heaters.get(clash.what()).name() : "an appliance";
    return switch (clash.kind()) {
      case TOO_MANY_ON_HEAT -> who + ": more jars than " + heater + " holds, " + at + others;
      case TWO_HEATS -> who + ": two temperatures on " + heater + ", " + at + others;
      case TOO_FEW_JARS -> who + ": not enough jars (" + jar(clash.what()) + "), " + when + others;
      case TWO_HANDS -> who + ": both want your hands, " + at;
      case NO_HEATER -> who + ": there is nothing here to do it on";
    };
  }

  private String jar(String key) {
    return vessels.all().stream()
        .map(JarAtHand::jar)
        .filter(j -> j.key().equals(key))
        .map(j -> j.name())
        .findFirst()
        .orElse("a vessel");
  }

  /** What moves, by how much and to where; an appliance changed without a shift too. */
  private static List<String> shifts(Diary.Settled settled, Plans.Together together, Formats fmt) {
    Map<String, String> names =
        together.house().heaters().stream()
            .collect(Collectors.toMap(House.Heater::id, House.Heater::name, (a, b) -> a));
    List<String> shifts = new ArrayList<>();
    for (int i = 0; i < settled.bookings().size(); i++) {
      Booking booking = settled.bookings().get(i);
      boolean elsewhere =
          booking.heater() != null && !booking.heater().equals(together.bookings().get(i).heater());
      String on = booking.heater() == null ? "" : "on " + names.get(booking.heater());
      if (booking.shiftMinutes() > 0) {
        shifts.add(
            booking.job().id() + ": " + shift(booking, fmt) + (on.isEmpty() ? "" : ", " + on));
      } else if (elsewhere) {
        shifts.add(booking.job().id() + ": when it is now, but " + on);
      }
    }
    return shifts;
  }

  private static String shift(Booking booking, Formats fmt) {
    LocalDateTime begins = booking.timetable().begins();
    Duration by = Duration.between(booking.job().wished(), begins);
    return fmt.hours(by.abs().toMinutes() / 60.0)
        + (by.isNegative() ? " earlier, " : " later, ")
        + fmt.nearDate(begins.toLocalDate())
        + " "
        + begins.toLocalTime().withSecond(0).withNano(0)
        + (booking.lateMinutes() > 0
            ? ", ready only " + fmt.nearDate(booking.timetable().ready().toLocalDate())
            : "");
  }
}
