package velvetcrock.core.jar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.heat.Course;
import velvetcrock.core.heat.Series;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.heat.Warmth;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;

/**
 * From a batch's state and readings to the order by which {@link Keeper} reckons a bottle's date.
 */
final class BatchKeeping {
  private final BatchState state;
  private final BatchReckoning reckoning;
  private final ZoneId zone;
  private final Series readings;

  BatchKeeping(BatchState state, BatchReckoning reckoning, ZoneId zone, Series readings) {
    this.state = state;
    this.reckoning = reckoning;
    this.zone = zone;
    this.readings = readings;
  }

  /**
   * Until when a bottle is good.
   *
   * @param chargedOn the day from which its keeping counts
   * @throws velvetcrock.core.Refused if no date of a carrier is known
   */
  Keeping of(BottleState bottle, LocalDate chargedOn) {
    LocalDate strainedOn = date(Objects.requireNonNull(state.strainedAt()));
    LocalDate charged = chargedOn.isAfter(strainedOn) ? strainedOn : chargedOn;
    Earlier earlier = state.charge().manner().earlier();
    Set<Hazard> brought = earlier == null ? Set.of() : earlier.hazards();
    boolean wet = reckoning.wet() || brought.contains(Hazard.WATER);
    HerbState wettest =
        state.charge().herbs().stream().map(HerbIn::state).max(Enum::compareTo).orElseThrow();
    if (brought.contains(Hazard.EATEN_FRESH)) {
      wettest = HerbState.FRESH;
    }
    LocalDate first =
        earlier == null || earlier.chargedOn() == null ? charged : earlier.chargedOn();
    return Keeper.reckon(
        new KeepingOrder(
            first,
            strainedOn,
            reckoning.carrierDates(),
            wettest,
            wet,
            state.charge().use(),
            infusing(charged, strainedOn),
            stored(bottle, strainedOn),
            bottle.store(),
            before(earlier, first, charged)));
  }

  private static Optional<KeepingOrder.Before> before(
      @Nullable Earlier earlier, LocalDate first, LocalDate charged) {
    if (earlier == null || earlier.goodUntil() == null) {
      return Optional.empty();
    }
    return Optional.of(
        new KeepingOrder.Before(
            "before, as " + earlier.code(),
            Math.max(0, ChronoUnit.DAYS.between(first, charged)),
            earlier.spentDays(),
            earlier.goodUntil()));
  }

  private List<InfusingLeg> infusing(LocalDate chargedOn, LocalDate strainedOn) {
    List<InfusingLeg> legs = new ArrayList<>();
    List<BatchState.Stay> stays = state.stays();
    Instant strainedAt = Objects.requireNonNull(state.strainedAt());
    Course course = reckoning.course(readings, strainedAt, zone);
    boolean watched = readings.size() > 1 || !course.assumed().isEmpty();
    double assumedHours = watched ? 0 : assumedHours(chargedOn, strainedOn);
    if (assumedHours > 0) {
      legs.add(
          new InfusingLeg(
              "infusing, as warm as is usual",
              assumedHours,
              Warmth.assumed(Trace.steady(assumedC(), assumedHours)),
              reckoning.light(stays.get(0).stand())));
    }
    for (int i = 0; i < stays.size(); i++) {
      boolean lasts = i + 1 == stays.size();
      LocalDate from = i == 0 ? chargedOn : date(stays.get(i).from());
      LocalDate to = lasts ? strainedOn : date(stays.get(i + 1).from());
      double hours = Math.max(0, ChronoUnit.DAYS.between(from, to)) * 24.0;
      double assumed = Math.min(hours, assumedHours);
      hours -= assumed;
      assumedHours -= assumed;
      Warmth warmth =
          course.warmth(
              i == 0 ? -Double.MAX_VALUE : reckoning.hours(stays.get(i).from()),
              lasts
                  ? reckoning.hours(strainedAt) + BatchReckoning.SHORTEST_HOURS
                  : reckoning.hours(stays.get(i + 1).from()));
      boolean traced = warmth.usual().hours() > 0;
      if (hours > 0 || traced || stays.size() == 1 && legs.isEmpty()) {
        String name = "infusing: " + stays.get(i).stand().name();
        legs.add(
            new InfusingLeg(
                name,
                hours,
                traced ? warmth : Warmth.of(unread(stays.get(i).stand(), hours)),
                reckoning.light(stays.get(i).stand())));
      }
    }
    return legs;
  }

  /**
   * Hours that nobody read a temperature of, at which the method's usual one is taken: all of a
   * heated one's usual hours, the warm start of a two-stage one, and as many of the warm days after
   * spirit as it stood.
   */
  private double assumedHours(LocalDate chargedOn, LocalDate strainedOn) {
    Method method = state.charge().method();
    double stood = ChronoUnit.DAYS.between(chargedOn, strainedOn) * 24.0;
    return method.heated() || method == Method.TWO_STAGE
        ? reckoning.heatGoal().usualHours()
        : method == Method.SPIRIT ? Math.max(0, Math.min(stood, method.usualHours())) : 0;
  }

  /** How warm it is taken to have been then, °C. */
  private double assumedC() {
    return reckoning.heatGoal().usualC();
  }

  /** What nobody read: a fridge counts as cold as it is; everything else counts at 20 °C. */
  private static Trace unread(Stand stand, double hours) {
    Double celsius = stand.celsius();
    return hours > 0 && celsius != null && celsius <= Store.Place.FRIDGE.celsius()
        ? Trace.steady(celsius, hours)
        : Trace.none();
  }

  private List<KeepingOrder.StoredLeg> stored(BottleState bottle, LocalDate strainedOn) {
    List<KeepingOrder.StoredLeg> legs = new ArrayList<>();
    List<BottleState.Stay> stays = bottle.stays();
    LocalDate from = strainedOn;
    for (int i = 0; i + 1 < stays.size(); i++) {
      LocalDate to = date(stays.get(i + 1).from());
      double days = Math.max(0, ChronoUnit.DAYS.between(from, to));
      String words = stays.get(i).store().words() + (stays.get(i).opened() ? ", opened" : "");
      legs.add(new KeepingOrder.StoredLeg(stays.get(i).store(), days, words));
      from = to.isAfter(from) ? to : from;
    }
    return legs;
  }

  private LocalDate date(Instant at) {
    return at.atZone(zone).toLocalDate();
  }
}
