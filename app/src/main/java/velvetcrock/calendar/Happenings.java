package velvetcrock.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Period;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.care.Ahead;
import velvetcrock.core.care.Care;
import velvetcrock.core.care.Rhythm;
import velvetcrock.core.care.Task;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.Window;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.plans.Planned;
import velvetcrock.plans.Plans;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.ProductWords;
import velvetcrock.products.Products;
import velvetcrock.web.Formats;
import velvetcrock.web.KeepingWords;

/** What the household's jars, bottles, products and plans will want, as happenings. */
@Component
class Happenings {
  private static final int MOST_BOTTLES = 1000;
  private static final int MOST_PRODUCTS = 500;
  private static final int DAYS_IN_WEEK = 7;

  /** What has yet to lose its water is visited without an end in sight; so far ahead it is told. */
  private static final int VISITS_AHEAD_DAYS = 28;

  private static final Period ON_THE_DAY = Period.ZERO;

  private final Batches batches;
  private final BottleBook book;
  private final Plans plans;
  private final Products products;
  private final Households households;
  private final Catalogues catalogues;

  Happenings(
      Batches batches,
      BottleBook book,
      Plans plans,
      Products products,
      Households households,
      Catalogues catalogues) {
    this.batches = batches;
    this.book = book;
    this.plans = plans;
    this.products = products;
    this.households = households;
    this.catalogues = catalogues;
  }

  /** Everything of the household. */
  List<Happening> all() {
    Household house = households.current();
    Formats fmt = households.formats(house);
    return Stream.of(
            batches.standing().stream().flatMap(b -> of(b, house, fmt).stream()),
            bottles().stream(),
            products.standing(MOST_PRODUCTS).stream()
                .filter(p -> p.state().status() == ProductState.Status.POURED)
                .map(p -> useBy(p, fmt)),
            plans.open().stream().map(p -> planned(p, house.zone(), fmt)))
        .flatMap(all -> all)
        .toList();
  }

  /** All bottles' dates. */
  List<Happening> bottles() {
    return book.standing(BottleBook.Which.ALL, MOST_BOTTLES).stream().map(this::useBy).toList();
  }

  /**
   * All of one batch, its bottles with it.
   *
   * @throws velvetcrock.web.NotFound if there is none of that code here
   */
  List<Happening> ofBatch(String code) {
    Household house = households.current();
    BatchRecord batch = batches.find(code);
    List<Happening> all = new ArrayList<>(of(batch, house, households.formats(house)));
    book.of(batch).stream()
        .filter(b -> b.bottle().goneAt() == null)
        .map(this::useBy)
        .forEach(all::add);
    return all;
  }

  private Happening useBy(BottleRecord bottle) {
    String herbs = new BatchReckoning(catalogue(), bottle.batch().state()).herbNames();
    return new Happening(
        bottle.batch().id() + "-" + bottle.bottle().letter(),
        "Use by today: " + bottle.code() + " " + herbs,
        KeepingWords.why(bottle.decidedBy()),
        new Happening.Days(bottle.bestBefore(), bottle.bestBefore()),
        Calls.Kind.KEEPING,
        Period.ofDays(-Care.SMELLED_FROM_DAYS));
  }

  private Happening useBy(ProductRecord product, Formats fmt) {
    String name = new ProductWords(catalogue(), fmt).name(product.state());
    return new Happening(
        product.id() + "-tins",
        "Use by today: " + product.code() + " " + name,
        product.state().filling().tins().stream().filter(ProductState.Tin::there).count()
            + " still here.",
        new Happening.Days(product.bestBefore(), product.bestBefore()),
        Calls.Kind.KEEPING,
        Period.ofDays(-Care.SMELLED_FROM_DAYS));
  }

  private static Happening planned(Planned plan, ZoneId zone, Formats fmt) {
    return new Happening(
        plan.id() + "-charge",
        "Charge " + plan.code(),
        "As planned: wanted by " + fmt.fullDate(plan.by()) + ".",
        new Happening.Moment(
            LocalDateTime.ofInstant(plan.begins(), zone), Task.Kind.CHARGE.minutes(), null),
        Calls.Kind.PLAN,
        ON_THE_DAY);
  }

  private List<Happening> of(BatchRecord batch, Household house, Formats fmt) {
    BatchState state = batch.state();
    String name = batch.code() + " " + new BatchReckoning(catalogue(), state).herbNames();
    return switch (state.status()) {
      case RESTING -> resting(batch, name, house.zone());
      case INFUSING -> infusing(batch, name, house, fmt);
      case STRAINED -> settling(batch, name, fmt);
      case BOTTLED, FINISHED, THROWN_OUT -> List.of();
    };
  }

  private static List<Happening> resting(BatchRecord batch, String name, ZoneId zone) {
    BatchState.Rest rest = Objects.requireNonNull(batch.state().rest());
    LocalDateTime since = LocalDateTime.ofInstant(rest.since(), zone);
    return List.of(
        new Happening(
            batch.id() + "-pour",
            "Pour the oil: " + name,
            "It rests in spirit from 12 hours on; pour within 48.",
            new Happening.Moment(
                since.plusHours((long) SpiritStep.SOONEST_USUAL_HOURS),
                Task.Kind.POUR.minutes(),
                null),
            Calls.Kind.HEAT,
            ON_THE_DAY));
  }

  private List<Happening> infusing(BatchRecord batch, String name, Household house, Formats fmt) {
    BatchState state = batch.state();
    List<Happening> all = new ArrayList<>();
    BatchReckoning reckoning = new BatchReckoning(catalogue(), state);
    if (reckoning.window(house.zone()).byHours()) {
      new Ahead(catalogue())
          .of(state, fmt.now()).stream()
              .filter(c -> c.kind() == Task.Kind.OFF_HEAT)
              .forEach(
                  c ->
                      all.add(
                          new Happening(
                              batch.id() + "-off-heat",
                              "Take it off the heat: " + name,
                              "It has had its time by then.",
                              new Happening.Moment(
                                  LocalDateTime.ofInstant(c.at(), house.zone())
                                      .truncatedTo(ChronoUnit.MINUTES),
                                  Task.Kind.OFF_HEAT.minutes(),
                                  null),
                              Calls.Kind.HEAT,
                              ON_THE_DAY)));
      return all;
    }
    Window window = reckoning.window(house.zone());
    if (reckoning.holdsWater() || window.earliestOn().isEmpty()) {
      checks(batch, name, fmt.today().plusDays(VISITS_AHEAD_DAYS), house, all);
      return all;
    }
    LocalDate earliest = window.earliestOn().orElseThrow();
    LocalDate usual = window.usualOn().orElseThrow();
    LocalDate latest = window.latestOn().orElseThrow();
    all.add(
        new Happening(
            batch.id() + "-strain-window",
            "May be strained: " + name,
            "Usually on "
                + fmt.fullDate(usual)
                + ", at the latest on "
                + fmt.fullDate(latest)
                + ".",
            new Happening.Days(earliest, latest),
            Calls.Kind.STRAIN,
            null));
    all.add(
        new Happening(
            batch.id() + "-strain",
            "Strain " + name,
            "The usual day. Look and smell first: its page says ready, wait or overdue.",
            new Happening.Days(usual, usual),
            Calls.Kind.STRAIN,
            ON_THE_DAY));
    checks(batch, name, earliest, house, all);
    return all;
  }

  /** Its visits until a day, by the rhythm of its method. */
  private static void checks(
      BatchRecord batch, String name, LocalDate until, Household house, List<Happening> all) {
    Charged charge = batch.state().charge();
    LocalTime at = house.hours().wakes().plusMinutes(Care.AFTER_WAKING_MINUTES);
    int number = 0;
    for (Rhythm.Run run : Rhythm.of(charge.method()).runs(charge.begun().chargedOn(), until)) {
      String which =
          run.everyDays() == 1 && number == 0
              ? "-daily"
              : run.everyDays() == DAYS_IN_WEEK ? "-weekly" : "-visits-" + number;
      all.add(
          new Happening(
              batch.id() + which,
              "Shake and look: " + name,
              run.everyDays() == 1
                  ? "Daily in the first week."
                  : "Every " + run.everyDays() + " days.",
              new Happening.Moment(
                  run.first().atTime(at),
                  Task.Kind.LOOK.minutes(),
                  new Happening.Repeat(run.everyDays(), run.count())),
              Calls.Kind.VISIT,
              ON_THE_DAY));
      number++;
    }
  }

  private static List<Happening> settling(BatchRecord batch, String name, Formats fmt) {
    if (!Objects.requireNonNull(batch.state().strained()).how().settles()) {
      return List.of();
    }
    LocalDate strained = fmt.date(Objects.requireNonNull(batch.state().strainedAt()));
    return List.of(
        new Happening(
            batch.id() + "-decant",
            "Pour off what has settled: " + name,
            "It stood overnight; then bottle it.",
            new Happening.Days(strained.plusDays(1), strained.plusDays(1)),
            Calls.Kind.STRAIN,
            ON_THE_DAY));
  }

  private Catalogue catalogue() {
    return catalogues.current();
  }

  /** A name for a file, of a batch or of all. */
  static String fileName(String of) {
    return "velvet-crock" + (of.isEmpty() ? "" : "-" + of.toLowerCase(Locale.ROOT)) + ".ics";
  }
}
