package velvetcrock.plans;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.NotFound;

/** The plans as they are kept. */
@Component
class PlanBook {
  private final PlanRepository plans;
  private final JsonMapper json;
  private final EntityManager entities;
  private final CurrentHousehold current;
  private final Clock clock;

  PlanBook(
      PlanRepository plans,
      JsonMapper json,
      EntityManager entities,
      CurrentHousehold current,
      Clock clock) {
    this.plans = plans;
    this.json = json;
    this.entities = entities;
    this.current = current;
    this.clock = clock;
  }

  /** The plans that are still to be charged, the first to begin in front. */
  @HeldUntilChanged(HouseholdPart.PLANS)
  List<Planned> open() {
    return plans.findByStatusOrderByBeginsAtAscCodeAsc(PlanRow.Status.OPEN).stream()
        .map(this::planned)
        .toList();
  }

  /**
   * A plan by its code.
   *
   * @throws NotFound if there is none here
   */
  Planned find(String code) {
    return planned(row(code));
  }

  /** A plan by its code, if it is still to be charged. */
  Optional<Planned> openOne(String code) {
    return openRow(code).map(this::planned);
  }

  /** The row of a plan that is still to be charged. */
  Optional<PlanRow> openRow(String code) {
    return plans
        .findByCode(code.strip().toUpperCase(Locale.ROOT))
        .filter(row -> row.status() == PlanRow.Status.OPEN);
  }

  PlanRow row(String code) {
    return plans
        .findByCode(Objects.requireNonNull(code).strip().toUpperCase(Locale.ROOT))
        .orElseThrow(() -> new NotFound("There is no plan " + code + " here."));
  }

  PlanDetails read(PlanRow row) {
    return json.readValue(row.details(), PlanDetails.class);
  }

  private Planned planned(PlanRow row) {
    return new Planned(
        row.id(),
        row.code(),
        read(row),
        row.beginsAt(),
        row.readyAt(),
        row.wantedBy(),
        Optional.ofNullable(row.applianceId()),
        row.status() == PlanRow.Status.OPEN,
        row.madeBy());
  }

  /** The row that was made under a key before, if any. */
  Optional<PlanRow> under(String key) {
    return plans.findByIdempotencyKey(key);
  }

  /** A new row, still to be placed in time and kept. */
  PlanRow begin(String code, PlanDetails details, String key) {
    return new PlanRow(
        code, details, json.writeValueAsString(details), current.name(), clock.instant(), key);
  }

  /** Keeps a new row with what it is to take of lots. */
  void keep(PlanRow row, PlanDetails details) {
    entities.persist(row);
    details.lots().forEach(lot -> entities.persist(new PlanLot(row.id(), lot.lot(), lot.amount())));
  }

  /** Ends a plan that is still to be charged. */
  void end(PlanRow row, PlanRow.Status how) {
    row.end(how, clock.instant());
  }
}
