package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.Problems;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Speed;
import velvetcrock.core.yield.Retention;

/**
 * What a charge would come to if it were drawn so warm for so long: one point for its time, and a
 * curve over all times that anybody draws for. Each point of the curve is the oil strained then.
 *
 * @param charge in its vessel, if one is named
 * @param solid whether the oil is solid at that temperature, so that nothing is drawn
 * @param at the point at its time
 * @param curve from half an hour to eight weeks, evenly on a logarithmic axis
 * @param yieldMl what comes out of the cloth, ml
 */
public record WhatIf(Charge charge, boolean solid, Point at, List<Point> curve, double yieldMl) {
  /** Where the curve begins, h. */
  public static final double SHORTEST_HOURS = 0.5;

  /** Where the curve ends: eight weeks, h. */
  public static final double LONGEST_HOURS = 56 * 24;

  private static final int POINTS = 48;

  /**
   * The oil strained after a time.
   *
   * @param hours after which, h
   * @param drawn how much is drawn, with its width
   * @param spentDays shelf life used while it drew, days at 20 °C in the dark
   * @param leftDays keeping left on straining, days at 20 °C in the dark; not below 0
   * @param keeps what may be promised of its keeping
   */
  public record Point(double hours, Pull drawn, double spentDays, double leftDays, Promise keeps) {
    /** Relative pull, 0–1. */
    public double pull() {
      return drawn.pull();
    }

    /** Days that it keeps from straining by every rule, once it is shown dry where it has to be. */
    public int keepsDays() {
      return keeps.dryDays();
    }
  }

  /**
   * What is moved.
   *
   * @param oilPerHerb w/v ratio, ml/g, above 0 and at most 1000
   * @param celsius oil temperature, 0–135 °C
   * @param hours from half an hour to eight weeks, h
   * @param spirit whether the herb is dampened with spirit first
   * @param jar the vessel, if it is known
   * @param on the day on which it is charged
   */
  public record Setting(
      HerbPortion herb,
      List<CarrierDates> carriers,
      double oilPerHerb,
      double celsius,
      double hours,
      Agitation agitation,
      Light light,
      boolean spirit,
      Optional<Jar> jar,
      Use use,
      LocalDate on) {
    /**
     * Checks the figures.
     *
     * @throws velvetcrock.core.Refused at {@code oilPerHerb}, {@code celsius}, {@code hours} or
     *     {@code carriers}
     */
    public Setting {
      Problems problems = new Problems();
      problems.require(
          oilPerHerb > 0 && oilPerHerb <= Ratio.MOST,
          "oilPerHerb",
          "Oil per herb is above 0 and at most 1000.");
      problems.require(
          celsius >= 0 && celsius <= 135, "celsius", "The oil is between 0 and 135 °C warm.");
      problems.require(
          hours >= SHORTEST_HOURS && hours <= LONGEST_HOURS,
          "hours",
          "It infuses from half an hour to eight weeks.");
      problems.require(!carriers.isEmpty(), "carriers", "Name at least one carrier.");
      problems.refuseIfAny();
      carriers =
          carriers.stream()
              .map(
                  c ->
                      c.ownDate().isPresent()
                          ? c
                          : new CarrierDates(c.carrier(), c.share(), null, null, on))
              .toList();
    }

    private CarrierBlend blend() {
      return new CarrierBlend(
          carriers.stream().map(c -> new CarrierBlend.Share(c.carrier(), c.share())).toList());
    }
  }

  /**
   * Works it out.
   *
   * @param experience what the household's own strainings taught
   * @throws velvetcrock.core.Refused at {@code carriers[i]} where it is not for the use asked
   */
  public static WhatIf of(Setting setting, Catalogue catalogue, List<Retention.Own> experience) {
    CarrierBlend carriers = setting.blend();
    ChargeOrder order =
        new ChargeOrder(
            List.of(setting.herb()),
            carriers,
            new Ratio.WeightToVolume(setting.oilPerHerb()),
            setting.jar(),
            ChargeOrder.USUAL_COVER_MM);
    Charge charge = new Charger(catalogue).reckon(order);
    Speed speed =
        catalogue.speed(
            setting
                .herb()
                .in(
                    setting.carriers().get(0).carrier().key(),
                    setting.spirit() ? Method.SPIRIT : null));
    List<Point> curve = new ArrayList<>(POINTS);
    double step = Math.pow(LONGEST_HOURS / SHORTEST_HOURS, 1.0 / (POINTS - 1));
    double hours = SHORTEST_HOURS;
    for (int i = 0; i < POINTS; i++) {
      curve.add(point(setting, carriers, charge, speed, Math.min(hours, LONGEST_HOURS)));
      hours *= step;
    }
    return new WhatIf(
        charge,
        setting.celsius() < carriers.meltedAboveC(),
        point(setting, carriers, charge, speed, setting.hours()),
        List.copyOf(curve),
        new OilToCharge(setting.herb(), experience).yieldMl(charge.oilMl(), setting.oilPerHerb()));
  }

  private static Point point(
      Setting setting, CarrierBlend carriers, Charge charge, Speed speed, double hours) {
    Trace trace = Trace.steady(setting.celsius(), hours);
    Pull pull =
        setting.celsius() < carriers.meltedAboveC()
            ? Pull.nothing()
            : Pull.of(
                List.of(new Pull.Leg(trace, setting.agitation())),
                carriers,
                new Pull.Herb(
                    setting.herb().cut(), setting.herb().part(), setting.spirit(), speed));
    InfusingLeg leg = new InfusingLeg("infusing", hours, trace, setting.light());
    LocalDate strained = setting.on().plusDays((long) Math.ceil(hours / 24));
    KeepingOrder order =
        Promise.order(
            setting.on(), strained, setting.carriers(), setting.herb().state(), setting.use(), leg);
    double broughtDays = ChronoUnit.DAYS.between(setting.on(), Keeper.ownDate(setting.carriers()));
    Optional<Promise.Spirit> spirit =
        setting.spirit()
            ? Optional.of(Promise.Spirit.usual(setting.herb(), charge.oilMassG()))
            : Optional.empty();
    return new Point(
        hours,
        pull,
        leg.spentDays(),
        Math.max(0, broughtDays - leg.spentDays()),
        Promise.of(order, Promise.Water.of(charge, spirit, trace, setting.jar(), setting.use())));
  }
}
