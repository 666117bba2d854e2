package velvetcrock.kitchen;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.Formats;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.Typed;

/** The household of the request: its settings and its clock. */
@Service
public class Households {
  private final HouseholdRepository households;
  private final CurrentHousehold current;
  private final Clock clock;

  Households(HouseholdRepository households, CurrentHousehold current, Clock clock) {
    this.households = households;
    this.current = current;
    this.clock = clock;
  }

  /** The household of whoever is signed in, to be read: whoever changes it locks it. */
  @HeldUntilChanged(HouseholdPart.KITCHEN)
  @Transactional(readOnly = true)
  public Household current() {
    return households.findById(current.id()).orElseThrow();
  }

  /** The same, held against other writers until the transaction ends. */
  @Transactional
  public Household lockCurrent() {
    return households.lock(current.id()).orElseThrow();
  }

  /** The household of an id. */
  @Transactional(readOnly = true)
  public Optional<Household> find(UUID id) {
    return households.findById(id);
  }

  /** The demo household, if there is one. */
  @Transactional(readOnly = true)
  public Optional<Household> demo() {
    return households.findFirstByDemoOrderByCreatedAt(true);
  }

  /** Whether somebody has founded a household of their own. */
  @Transactional(readOnly = true)
  public boolean founded() {
    return households.findFirstByDemoOrderByCreatedAt(false).isPresent();
  }

  /** Formats for a household, now. */
  public Formats formats(Household household) {
    return new Formats(household.units(), household.customs(), household.zone(), clock.instant());
  }

  /** The day it is in a household. */
  public LocalDate today(Household household) {
    return LocalDate.ofInstant(clock.instant(), household.zone());
  }

  /** The household's clock. */
  public LocalDateTime now(Household household) {
    return LocalDateTime.ofInstant(clock.instant(), household.zone());
  }

  /** The minute that it is there: what is asked of it is the same for all who ask within it. */
  public LocalDateTime minute(Household household) {
    return now(household).truncatedTo(ChronoUnit.MINUTES);
  }

  /**
   * Founds a household.
   *
   * @throws Refused at {@code household}, {@code zone} or {@code kitchen}
   */
  @Transactional
  public Household found(String name, String zone, String kitchen, boolean demo) {
    Problems problems = new Problems();
    String called = Named.of(problems, "household", name);
    ZoneId zoneId = problems.attempt("zone", () -> zone(zone));
    Kitchen measures = problems.attempt("kitchen", () -> kitchen(kitchen));
    problems.refuseIfAny();
    return households.save(
        new Household(UUID.randomUUID(), called, zoneId, measures, demo, clock.instant()));
  }

  /** Gives the demo its first settings again; what it holds is of today. */
  public void furnishAnew(Household demo, String name) {
    demo.furnishAnew(name, clock.instant());
    households.save(demo);
  }

  /**
   * Changes the household's settings.
   *
   * @throws Refused at {@code household}, {@code zone} or a field of {@link ReadingTyped}
   */
  @Transactional
  void settle(String name, String zone, @Nullable String keepsReadings, ReadingTyped typed) {
    Problems problems = new Problems();
    Household household = lockCurrent();
    String called = Named.of(problems, "household", name);
    ZoneId zoneId = problems.attempt("zone", () -> zone(zone));
    Reading reading = problems.attempt(() -> typed.read(household));
    KeepsReadings keeps =
        Typed.blank(keepsReadings)
            ? household.keepsReadings()
            : problems.attempt(
                () -> Typed.named(KeepsReadings.class, keepsReadings, "keepsReadings"));
    problems.refuseIfAny();
    household.settle(called, zoneId, reading, keeps);
  }

  private static ZoneId zone(String zone) {
    try {
      return ZoneId.of(zone.strip());
    } catch (DateTimeException e) {
      throw new Refused("zone", "“" + zone + "” is not a time zone, such as Europe/Oslo.");
    }
  }

  private static Kitchen kitchen(String kitchen) {
    try {
      return Kitchen.valueOf(kitchen);
    } catch (IllegalArgumentException e) {
      throw new Refused("kitchen", "Choose US, metric or imperial measures.");
    }
  }
}
