package velvetcrock.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
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
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.plan.Ahead;
import velvetcrock.core.plan.Round;
import velvetcrock.core.plan.Task;
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
  private static final int LOOK_MINUTES = 5;
  private static final int POUR_MINUTES = 15;
  private static final int CHARGE_MINUTES = 20;
  private static final int HEAT_MINUTES = 5;
  private static final int DAILY = 7;
  private static final int AFTER_WAKING_MINUTES = 30;
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
        Period.ofDays(-Round.SMELL_BEFORE_DAYS));
  }

  private Happening useBy(ProductRecord product, Formats fmt) {
    String name = new ProductWords(catalogue(), fmt).name(product.state());
    return new Happening(
        product.id() + "-tins",
        "Use by today: " + product.code() + " " + name,
        product.state().tins().stream().filter(ProductState.Tin::there).count() + " still here.",
        new Happening.Days(product.bestBefore(), product.bestBefore()),
        Period.ofDays(-Round.SMELL_BEFORE_DAYS));
  }

  private static Happening planned(Planned plan, ZoneId zone, Formats fmt) {
    return new Happening(
        plan.id() + "-charge",
        "Charge " + plan.code(),
        "As planned: wanted by " + fmt.fullDate(plan.by()) + ".",
        new Happening.Moment(LocalDateTime.ofInstant(plan.begins(), zone), CHARGE_MINUTES, null),
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
                since.plusHours((long) SpiritStep.SOONEST_USUAL_HOURS), POUR_MINUTES, null),
            ON_THE_DAY));
  }

  private List<Happening> infusing(BatchRecord batch, String name, Household house, Formats fmt) {
    BatchState state = batch.state();
    List<Happening> all = new ArrayList<>();
    if (state.charge().method().heated()) {
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
                                  HEAT_MINUTES,
                                  null),
                              ON_THE_DAY)));
      return all;
    }
    all.add(
        new Happening(
            batch.id() + "-strain-window",
            "May be strained: " + name,
            "Usually on "
                + fmt.fullDate(state.usual())
                + ", at the latest on "
                + fmt.fullDate(state.latest())
                + ".",
            new Happening.Days(state.earliest(), state.latest()),
            null));
    all.add(
        new Happening(
            batch.id() + "-strain",
            "Strain " + name,
            "The usual day. Look and smell first: its page says ready, wait or overdue.",
            new Happening.Days(state.usual(), state.usual()),
            ON_THE_DAY));
    checks(batch, name, house, all);
    return all;
  }

  /** Daily in the first week, weekly after until it may be strained. */
  private static void checks(BatchRecord batch, String name, Household house, List<Happening> all) {
    BatchState state = batch.state();
    LocalDate charged = state.charge().chargedOn();
    LocalDateTime first =
        charged.plusDays(1).atTime(house.hours().wakes()).plusMinutes(AFTER_WAKING_MINUTES);
    int days = (int) Math.max(1, ChronoUnit.DAYS.between(charged, state.earliest()));
    all.add(check(batch, "-daily", name, first, new Happening.Repeat(1, Math.min(DAILY, days))));
    int weeks = (days - DAILY) / DAILY;
    if (weeks > 0) {
      all.add(
          check(
              batch,
              "-weekly",
              name,
              first.plusDays(2L * DAILY - 1),
              new Happening.Repeat(DAILY, weeks)));
    }
  }

  private static Happening check(
      BatchRecord batch, String which, String name, LocalDateTime at, Happening.Repeat repeat) {
    return new Happening(
        batch.id() + which,
        "Shake and look: " + name,
        which.equals("-daily") ? "Daily in the first week." : "Weekly from then on.",
        new Happening.Moment(at, LOOK_MINUTES, repeat),
        null);
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
