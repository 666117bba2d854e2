package velvetcrock.core.outlook;

import static velvetcrock.core.Figures.plain;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;
import velvetcrock.core.care.Care;
import velvetcrock.core.care.Task;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.caution.Situation;
import velvetcrock.core.caution.Situation.Addition;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.core.yield.Retention;

/**
 * The ways to what is wanted, side by side: worked back from the day, with what each pulls, what
 * keeping it spends, and what work it is.
 *
 * @param needOilMl infused oil that it takes, ml
 * @param ways in the order asked for
 */
public record Comparison(double needOilMl, List<Way> ways, Reckoning reckoning) {
  private static final String HARDENS_TINS = "beeswax";
  private static final double HOURS_PER_DAY = 24;

  /**
   * Compares.
   *
   * @throws Refused at {@code herb} or {@code carriers[i].carrier} for eating what is not eaten, at
   *     {@code oilPerHerb} where the herb would drink it all, at {@code carriers} where a date
   *     makes no sense
   */
  public static Comparison of(PlanOrder order, Catalogue catalogue, Cautions cautions) {
    return of(order, catalogue, cautions, List.of());
  }

  /**
   * Compares with what the household's own strainings taught.
   *
   * @throws Refused as {@link #of(PlanOrder, Catalogue, Cautions)}
   */
  public static Comparison of(
      PlanOrder order, Catalogue catalogue, Cautions cautions, List<Retention.Own> experience) {
    Problems problems = new Problems();
    problems.require(
        order.purpose() != Purpose.KITCHEN || order.herb().edible(),
        "herb",
        () -> order.herb().name() + " is not a herb for eating.");
    problems.refuseIfAny();
    return new Comparing(order, catalogue, cautions, experience).compare();
  }

  private record Comparing(
      PlanOrder order, Catalogue catalogue, Cautions cautions, List<Retention.Own> experience) {
    Comparison compare() {
      CarrierBlend carriers =
          new CarrierBlend(
              order.carriers().stream()
                  .map(c -> new CarrierBlend.Share(c.carrier(), c.share()))
                  .toList());
      Reckoning.Writer lines = Reckoning.writer();
      double need =
          order.want().oilMl(carriers, Want.Pan.usual(catalogue.wax(HARDENS_TINS)), lines);
      double ratio = ratio(carriers, lines);
      double oilMl =
          lines.line(
              "Oil to charge",
              "so that " + plain(need) + " ml come out of the cloth",
              new OilToCharge(herb(100), experience).ml(need, ratio),
              "ml",
              Standing.ESTIMATE);
      double herbG =
          lines.line(
              "Herb to charge",
              plain(oilMl) + " ml ÷ " + plain(ratio),
              oilMl / ratio,
              "g",
              Standing.ESTIMATE);
      ChargeOrder charge = charge(carriers, herbG, new Ratio.Oil(oilMl));
      Charge reckoned = new Charger(catalogue).reckon(charge);
      List<Way> ways = order.methods().stream().map(m -> way(m, charge, reckoned)).toList();
      return new Comparison(need, ways, lines.done());
    }

    private ChargeOrder charge(CarrierBlend carriers, double herbG, Ratio ratio) {
      return new ChargeOrder(
          List.of(herb(herbG)), carriers, ratio, Optional.empty(), ChargeOrder.USUAL_COVER_MM);
    }

    private HerbPortion herb(double massG) {
      return HerbPortion.usual(order.herb(), order.part(), order.cut(), order.state(), massG);
    }

    private double ratio(CarrierBlend carriers, Reckoning.Writer lines) {
      double covering =
          new Charger(catalogue)
              .defaultOilPerHerb(
                  charge(carriers, 100, new Ratio.WeightToVolume(Charger.USUAL_OIL_PER_HERB)));
      return order.oilPerHerb().isPresent()
          ? lines.line(
              "Ratio 1:", "as asked", order.oilPerHerb().getAsDouble(), "ml/g", Standing.STANDARD)
          : lines.line(
              "Ratio 1:", "the least that fills the bed", covering, "ml/g", Standing.TYPICAL);
    }

    private Way way(Method method, ChargeOrder charge, Charge reckoned) {
      long available = Math.max(0, ChronoUnit.DAYS.between(order.today(), order.by()));
      double hours = hours(method, available * HOURS_PER_DAY - Care.SETTLES_HOURS);
      int days = (int) Math.ceil((hours + Care.SETTLES_HOURS) / HOURS_PER_DAY);
      LocalDate latestStart = order.by().minusDays(days);
      LocalDate start = latestStart.isBefore(order.today()) ? order.today() : latestStart;
      LocalDate ready = start.plusDays(days);
      Infusion infusion = Infusion.of(method, hours, order.herb().handling().drawing().ceilingC());
      boolean solid = !infusion.trace().reaches(charge.carriers().meltedAboveC());
      Pull pull =
          solid
              ? Pull.nothing()
              : Pull.of(
                  List.of(infusion.pullLeg()),
                  charge.carriers(),
                  new Pull.Herb(
                      order.cut(),
                      order.part(),
                      method == Method.SPIRIT,
                      catalogue.speed(
                          charge
                              .herbs()
                              .get(0)
                              .in(order.carriers().get(0).carrier().key(), method))));
      InfusingLeg leg = infusion.keepingLeg();
      int checks = infusion.checks();
      return new Way(
          method,
          charge.herbMassG(),
          reckoned.oilMl(),
          new Way.Days(start, ready, !ready.isAfter(order.by())),
          hours,
          pull,
          leg.spentDays(),
          promise(method, charge, reckoned, infusion, start, ready),
          Timetable.CHARGING_MINUTES
              + Timetable.STRAINING_MINUTES
              + (method == Method.SPIRIT ? Timetable.DAMPENING_MINUTES : 0)
              + checks * (method.heated() ? Task.Kind.LOOK.minutes() : Task.Kind.SHAKE.minutes()),
          checks,
          cautions(method, charge, reckoned, infusion.light()));
    }

    private Promise promise(
        Method method,
        ChargeOrder charge,
        Charge reckoned,
        Infusion infusion,
        LocalDate start,
        LocalDate ready) {
      Use use = order.purpose().use();
      Optional<Promise.Spirit> spirit =
          method == Method.SPIRIT
              ? Optional.of(Promise.Spirit.usual(charge.herbs().get(0), reckoned.oilMassG()))
              : Optional.empty();
      return Promise.of(
          Promise.order(start, ready, order.carriers(), order.state(), use, infusion.keepingLeg()),
          Promise.Water.of(reckoned, spirit, infusion.trace(), Optional.empty(), use));
    }

    private List<Caution> cautions(
        Method method, ChargeOrder charge, Charge reckoned, Light light) {
      Set<Addition> additions =
          method == Method.SPIRIT ? Set.of(Addition.SPIRIT) : Set.<Addition>of();
      return cautions.forPlan(
          new Situation(charge, reckoned, order.purpose(), light, method.celsius(), additions));
    }

    /** As long as usual; less, down to the earliest, where there is less time. */
    private static double hours(Method method, double availableHours) {
      return availableHours >= method.usualHours() || availableHours < method.earliestHours()
          ? method.usualHours()
          : availableHours;
    }
  }
}
