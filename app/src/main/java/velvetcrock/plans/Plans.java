package velvetcrock.plans;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.batch.BatchCodes;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.diary.Booking;
import velvetcrock.core.diary.Clash;
import velvetcrock.core.diary.Diary;
import velvetcrock.core.diary.House;
import velvetcrock.core.diary.Job;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Outlook;
import velvetcrock.core.outlook.Route;
import velvetcrock.core.outlook.School;
import velvetcrock.core.outlook.Supply;
import velvetcrock.core.outlook.Timetable;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.NotFound;

/** Keeps what was decided, and settles several plans in one kitchen. */
@Service
public class Plans {
  private static final int MOST_OPEN = 60;
  private static final int LONGEST_KEY = 120;

  private final PlanBook book;
  private final Outlooks outlooks;
  private final PlanJournal journal;
  private final Larder larder;
  private final Households households;
  private final BatchCodes codes;
  private final Catalogues catalogues;
  private final PlanSettling settling;

  Plans(
      PlanBook book,
      Outlooks outlooks,
      PlanJournal journal,
      Larder larder,
      Households households,
      BatchCodes codes,
      Catalogues catalogues,
      PlanSettling settling) {
    this.book = book;
    this.outlooks = outlooks;
    this.journal = journal;
    this.larder = larder;
    this.households = households;
    this.codes = codes;
    this.catalogues = catalogues;
    this.settling = settling;
  }

  /** The plans that are still to be charged, the first to begin in front. */
  @Transactional(readOnly = true)
  public List<Planned> open() {
    return book.open();
  }

  /**
   * A plan by its code.
   *
   * @throws NotFound if there is none here
   */
  @Transactional(readOnly = true)
  public Planned find(String code) {
    return book.find(code);
  }

  /** A plan by its code, if it is still to be charged. */
  @Transactional(readOnly = true)
  public Optional<Planned> openOne(String code) {
    return book.openOne(code);
  }

  /**
   * Decides on a way: it becomes a batch to be charged, with its code, its lots and its jars.
   *
   * @param needMl infused oil that it takes, ml
   * @param key names this deciding, so that a repeat of it makes no second plan
   * @return its code
   * @throws Refused at {@code way} where that way is ruled out
   */
  @Transactional
  String decide(Asked asked, Route route, double needMl, String key) {
    Household house = households.lockCurrent();
    Optional<PlanRow> before = book.under(key);
    if (before.isPresent()) {
      return before.get().code();
    }
    Problems problems = new Problems();
    problems.require(!key.isBlank() && key.length() <= LONGEST_KEY, "key", "Load the page again.");
    problems.require(
        route.fits() && route.times().timetable().isPresent(),
        "way",
        "That way is ruled out. Choose one that gets there.");
    problems.require(
        open().size() < MOST_OPEN, "way", MOST_OPEN + " plans are enough: charge or drop some.");
    problems.refuseIfAny();
    PlanDetails details = details(asked, route, needMl);
    PlanRow row = book.begin(codes.fresh(), details, key);
    Timetable timetable = route.times().timetable().orElseThrow();
    row.wanted(asked.by());
    Job job =
        new Job(
            row.code(),
            details.way().method(),
            details.way().hours(),
            details.making(),
            details.jars(),
            timetable.begins(),
            timetable.ready());
    place(row, timetable, heater(job, house), house.zone());
    book.keep(row, details);
    journal.tell(row, details, "planned", "Planned:");
    return row.code();
  }

  /**
   * A way that somebody decides on in one go.
   *
   * @param size what one holds, as typed
   * @param kind of product
   */
  public record Wanted(
      int count,
      String size,
      Firmness kind,
      String herb,
      String carrier,
      LocalDate by,
      Method method,
      School school) {}

  /**
   * Decides on tins by a way, with shopping.
   *
   * @return its code
   * @throws Refused where it cannot be read, or that way is ruled out
   */
  @Transactional
  public String decide(Wanted wanted, String key) {
    WantForm form =
        new WantForm(
                List.of(
                    new WantForm.Row(
                        "TINS",
                        String.valueOf(wanted.count()),
                        wanted.size(),
                        wanted.kind().name())),
                wanted.herb(),
                null,
                null,
                wanted.carrier(),
                wanted.by().toString(),
                null,
                null,
                null,
                null,
                key,
                null)
            .completed(
                wanted.herb(),
                wanted.carrier(),
                wanted.by().toString(),
                key,
                households.formats(households.current()));
    Asked asked = new WantReader(catalogues.current(), households.current().units()).read(form);
    Outlook outlook = outlooks.outlook(asked, households.minute(households.current()));
    Route route = outlook.route(wanted.method(), wanted.school()).orElseThrow();
    return decide(asked, route, outlook.needOilMl(), key);
  }

  /** The appliance on which a plan is in nobody's way, as far as there is one. */
  private @Nullable UUID heater(Job job, Household house) {
    List<Job> jobs = new ArrayList<>(open().stream().map(p -> p.job(house.zone())).toList());
    jobs.add(job);
    List<Booking> wished = diary(house).asWished(jobs);
    String heater = wished.get(wished.size() - 1).heater();
    return heater == null ? null : UUID.fromString(heater);
  }

  private static PlanDetails details(Asked asked, Route route, double needMl) {
    Map<String, Integer> jars = new LinkedHashMap<>();
    route
        .jars()
        .map(JarChoice::fills)
        .orElse(List.of())
        .forEach(fill -> jars.merge(fill.jar().key(), 1, Integer::sum));
    return new PlanDetails(
        asked.things(),
        new PlanDetails.PlanHerb(
            asked.herb().key(), asked.part(), route.herb().cut(), route.herb().state()),
        asked.carrier().key(),
        new PlanDetails.PlanWay(route.method(), route.school(), route.times().hours()),
        new PlanDetails.PlanAmounts(
            needMl,
            route.amounts().herbMassG(),
            route.amounts().oilPerHerb(),
            route.amounts().oilMl(),
            route.amounts().spiritMl()),
        jars,
        route.bill().takings().stream().map(Plans::fromLot).toList(),
        asked.safeFor().stream().sorted().toList(),
        new PlanDetails.PlanOutcome(
            route.outcome().pull(),
            route.outcome().keeps().onceDry(),
            Math.round(route.bill().minor()),
            !route.bill().unpriced().isEmpty()));
  }

  private static PlanDetails.FromLot fromLot(Supply.Taking taking) {
    return new PlanDetails.FromLot(UUID.fromString(taking.lot()), taking.amount(), null);
  }

  /**
   * Gives a plan up: its code, lots and jars are free again.
   *
   * @throws Refused at {@code plan} if it has been charged
   */
  @Transactional
  void drop(String code) {
    PlanRow row = book.row(code);
    if (row.status() == PlanRow.Status.CHARGED) {
      throw new Refused("plan", "It has been charged: it is a batch now.");
    }
    if (row.status() == PlanRow.Status.OPEN) {
      book.end(row, PlanRow.Status.DROPPED);
      journal.tell(row, book.read(row), "plan-dropped", "Plan given up:");
    }
  }

  /** Notes that a plan has been charged; nothing where there is no such open plan. */
  @Transactional
  public void charged(String code) {
    book.openRow(code).ifPresent(row -> book.end(row, PlanRow.Status.CHARGED));
  }

  /** The open plans in one kitchen: where they clash, and what would resolve it. */
  record Together(
      List<Planned> plans,
      List<Booking> bookings,
      List<Clash> clashes,
      House house,
      Optional<Diary.Settled> settled) {}

  /**
   * How the open plans get on with each other.
   *
   * @param resolved whether to look for what resolves their clashes, which may take a second
   */
  @Transactional(readOnly = true)
  Together together(boolean resolved) {
    Household house = households.current();
    LocalDateTime minute = households.minute(house);
    House shared = larder.house(house, minute);
    List<Planned> open = open();
    List<Job> jobs = open.stream().map(p -> p.job(house.zone())).toList();
    List<Booking> bookings = new ArrayList<>();
    for (int i = 0; i < open.size(); i++) {
      Planned plan = open.get(i);
      bookings.add(
          new Booking(
              jobs.get(i),
              plan.timetable(house.zone(), house.hours()),
              plan.appliance().map(UUID::toString).orElse(null)));
    }
    List<Clash> clashes = new Diary(shared, minute).clashes(bookings);
    return new Together(
        open,
        List.copyOf(bookings),
        clashes,
        shared,
        clashes.isEmpty() || !resolved
            ? Optional.empty()
            : Optional.of(settling.settled(shared, minute, jobs)));
  }

  /**
   * Moves the open plans by the shift that resolves their clashes.
   *
   * @return how many were moved
   */
  @Transactional
  int settle() {
    Household house = households.lockCurrent();
    Together together = together(true);
    if (together.settled().isEmpty()) {
      return 0;
    }
    int moved = 0;
    for (Booking booking : together.settled().get().bookings()) {
      PlanRow row = book.row(booking.job().id());
      Instant was = row.beginsAt();
      place(
          row,
          booking.timetable(),
          booking.heater() == null ? null : UUID.fromString(booking.heater()),
          house.zone());
      if (!was.equals(row.beginsAt())) {
        moved++;
        journal.tell(
            row, book.read(row), "plan-moved", "Plan moved, so that it is in no other’s way:");
      }
    }
    return moved;
  }

  private Diary diary(Household house) {
    LocalDateTime now = households.now(house);
    return new Diary(larder.house(house, now), now);
  }

  private static void place(
      PlanRow row, Timetable timetable, @Nullable UUID appliance, ZoneId zone) {
    row.placed(
        timetable.begins().atZone(zone).toInstant(),
        timetable.ready().atZone(zone).toInstant(),
        appliance);
  }
}
