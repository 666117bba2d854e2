package velvetcrock.core.log;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import velvetcrock.core.Range;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.heat.Readings;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.log.Event.HerbIn;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Strainer;
import velvetcrock.core.yield.Yield;

/**
 * Reckons from a batch's state what its log does not say outright: levels, yield and keeping. Where
 * the charge is known as a range, so is the answer.
 */
public final class BatchReckoning {
  private final Catalogue catalogue;
  private final BatchState state;

  /** Reckonings on one batch. */
  public BatchReckoning(Catalogue catalogue, BatchState state) {
    this.catalogue = catalogue;
    this.state = state;
  }

  /** A keeping as a range: the same twice where everything is known. */
  public record KeepingRange(Keeping early, Keeping late) {
    /** Whether both ends are one. */
    public boolean exact() {
      return early.bestBefore().equals(late.bestBefore());
    }
  }

  /** The herbs with weights in the middle of what they may be. */
  public List<HerbPortion> herbs() {
    return herbs(Range::middle);
  }

  private List<HerbPortion> herbs(Function<Range, Double> end) {
    return state.charge().herbs().stream().map(h -> portion(h, end.apply(h.massG()))).toList();
  }

  private HerbPortion portion(HerbIn in, double massG) {
    return new HerbPortion(
        catalogue.herb(in.herb()), in.part(), in.cut(), in.state(), massG, in.waterFraction());
  }

  /** The carriers by their shares. */
  public CarrierBlend carriers() {
    return new CarrierBlend(
        state.charge().carriers().stream()
            .map(c -> new CarrierBlend.Share(catalogue.carrier(c.carrier()), c.share()))
            .toList());
  }

  /** The charge as it stands in the jar with all top-ups. */
  public Charge charge() {
    Event.Charged charged = state.charge();
    double oil = charged.oilMl().middle() + state.toppedUpMl();
    Jar jar =
        new Jar(
            charged.jar().name(),
            charged.jar().name(),
            charged.jar().brimMl(),
            charged.jar().innerDiameterMm());
    return new Charger(catalogue)
        .reckon(
            new ChargeOrder(
                herbs(), carriers(), new Ratio.Oil(oil), Optional.of(jar), charged.coverMm()));
  }

  /** The order behind {@link #charge()}, for choosing cautions. */
  public ChargeOrder order() {
    Event.Charged charged = state.charge();
    return new ChargeOrder(
        herbs(),
        carriers(),
        new Ratio.Oil(charged.oilMl().middle() + state.toppedUpMl()),
        Optional.empty(),
        charged.coverMm());
  }

  /**
   * What should come out; its range spans every amount that may have gone in.
   *
   * @param expression how the oil is to be driven out
   */
  public Yield yield(Expression expression) {
    Range oil = state.charge().oilMl().plus(Range.exactly(state.toppedUpMl()));
    Yield middle = Strainer.predict(oil.middle(), herbs(), expression);
    if (state.charge().exact()) {
      return middle;
    }
    Yield least = Strainer.predict(oil.low(), herbs(Range::high), expression);
    Yield most = Strainer.predict(oil.high(), herbs(Range::low), expression);
    return new Yield(
        middle.yieldMl(),
        Range.between(least.rangeMl().low(), most.rangeMl().high()),
        middle.keptByMarcMl(),
        middle.filmMl(),
        middle.reckoning());
  }

  /** Whether at least one date is known for every carrier that counts. */
  public boolean carrierDatesKnown() {
    return carrierDates().stream()
        .allMatch(c -> c.share() < KeepingOrder.COUNTING_SHARE || c.ownDate().isPresent());
  }

  /**
   * Until when a bottle is good.
   *
   * @param readings the temperatures that were read while it infused, in order; may be empty
   * @throws velvetcrock.core.Refused if no date of a carrier is known
   */
  public KeepingRange keeping(BottleState bottle, ZoneId zone, List<Reading> readings) {
    int about = state.charge().aboutDays();
    LocalDate charged = state.charge().chargedOn();
    Keeping early = keeping(bottle, zone, readings, charged.minusDays(about));
    Keeping late = about == 0 ? early : keeping(bottle, zone, readings, charged.plusDays(about));
    return early.bestBefore().isAfter(late.bestBefore())
        ? new KeepingRange(late, early)
        : new KeepingRange(early, late);
  }

  /** One reading of the oil's temperature. */
  public record Reading(Instant at, double celsius) {}

  private Keeping keeping(
      BottleState bottle, ZoneId zone, List<Reading> readings, LocalDate chargedOn) {
    LocalDate strainedOn = date(Objects.requireNonNull(state.strainedAt()), zone);
    LocalDate charged = chargedOn.isAfter(strainedOn) ? strainedOn : chargedOn;
    boolean wet = charge().waterPercentOfOil() > Charge.WATER_OIL_CAN_HOLD_PERCENT;
    HerbState wettest =
        state.charge().herbs().stream().map(HerbIn::state).max(Enum::compareTo).orElseThrow();
    return Keeper.reckon(
        new KeepingOrder(
            charged,
            strainedOn,
            carrierDates(),
            wettest,
            wet,
            state.charge().use(),
            infusing(charged, strainedOn, zone, readings),
            stored(bottle, strainedOn, zone),
            bottle.store()));
  }

  private List<CarrierDates> carrierDates() {
    return state.charge().carriers().stream()
        .map(
            c ->
                new CarrierDates(
                    catalogue.carrier(c.carrier()),
                    c.share(),
                    c.bestBefore(),
                    c.openedOn(),
                    c.pressedOn()))
        .toList();
  }

  private List<InfusingLeg> infusing(
      LocalDate chargedOn, LocalDate strainedOn, ZoneId zone, List<Reading> readings) {
    List<InfusingLeg> legs = new ArrayList<>();
    List<BatchState.Stay> stays = state.stays();
    for (int i = 0; i < stays.size(); i++) {
      LocalDate from = i == 0 ? chargedOn : date(stays.get(i).from(), zone);
      LocalDate to = i + 1 < stays.size() ? date(stays.get(i + 1).from(), zone) : strainedOn;
      double hours = Math.max(0, ChronoUnit.DAYS.between(from, to)) * 24.0;
      if (hours > 0 || stays.size() == 1) {
        Instant begin = from.atStartOfDay(zone).toInstant();
        Trace trace = trace(begin, to.atStartOfDay(zone).toInstant(), readings);
        String name = "infusing: " + stays.get(i).stand().name();
        legs.add(new InfusingLeg(name, hours, trace, stays.get(i).stand().light()));
      }
    }
    return legs;
  }

  private static Trace trace(Instant from, Instant to, List<Reading> readings) {
    return Readings.forAgeing(
        readings.stream()
            .filter(r -> !r.at().isBefore(from) && r.at().isBefore(to))
            .map(
                r ->
                    new Trace.Point(ChronoUnit.SECONDS.between(from, r.at()) / 3600.0, r.celsius()))
            .toList());
  }

  private static List<KeepingOrder.StoredLeg> stored(
      BottleState bottle, LocalDate strainedOn, ZoneId zone) {
    Instant half = bottle.halfAt();
    if (half == null) {
      return List.of();
    }
    double days = Math.max(0, ChronoUnit.DAYS.between(strainedOn, date(half, zone)));
    return List.of(
        new KeepingOrder.StoredLeg(
            bottle.store().at(velvetcrock.core.keeping.Store.Fill.FULL), days));
  }

  private static LocalDate date(Instant at, ZoneId zone) {
    return at.atZone(zone).toLocalDate();
  }
}
