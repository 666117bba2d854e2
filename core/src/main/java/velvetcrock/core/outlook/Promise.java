package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.moisture.Evaporation;
import velvetcrock.core.spirit.SpiritStep;

/**
 * What may be promised of the keeping of an oil that nobody has made yet. A clock dries nothing:
 * where water comes in, it counts as wet until the scale or the signs have shown it dry, and as an
 * oil of dried herb once they have.
 *
 * @param strained the day on which it would be strained
 * @param bestBefore what holds whatever is shown: of a wet oil its days in the fridge
 * @param onceDry what holds once it is shown dry; the same where nothing has to be shown, or where
 *     it cannot be
 * @param water what water comes in and what can become of it
 * @param byTheOil whether the carrier's own date ends it, so that fresher oil would keep longer
 */
public record Promise(
    LocalDate strained, LocalDate bestBefore, LocalDate onceDry, Water water, boolean byTheOil) {
  private static final Store STORE =
      new Store(Store.Place.COOL, Store.Glass.AMBER, Store.Fill.FULL, Store.Antioxidant.NONE);

  private static final double USUAL_POT_MM = 100;

  /**
   * Spirit that herb is dampened with.
   *
   * @param massG spirit, g
   * @param abvPercent strength, % vol
   * @param oilMassG oil that follows, g
   */
  record Spirit(HerbPortion herb, double massG, double abvPercent, double oilMassG) {
    /** As strong and as much as is usual. */
    static Spirit usual(HerbPortion herb, double oilMassG) {
      return new Spirit(herb, herb.massG() * SpiritStep.USUAL_DOSE, SpiritStep.USUAL_ABV, oilMassG);
    }

    private double loosePercent() {
      return SpiritStep.weighed(massG, abvPercent, oilMassG).loosePercentOfOil(herb.canBindG());
    }
  }

  /** Of a vessel that nobody has named: a small pot, or as wide as lets the oil stand as deep. */
  private static double usualDiameterMm(double oilMl) {
    return Math.max(USUAL_POT_MM, Math.sqrt(4 * oilMl * 1000 / (Math.PI * USUAL_POT_MM)));
  }

  /** What can become of the water that comes in. */
  public enum Water {
    /** None comes in that the oil could not hold. */
    NONE,
    /** It can be driven off in the hours given, which has to be shown. */
    CAN_LEAVE,
    /** More comes in than can leave. */
    STAYS;

    /**
     * What can become of what a charge brings. Of herb for eating nothing is driven off, because
     * warming it is what makes it dangerous; spirit is always weighed down.
     *
     * @param spirit with what the herb is dampened; empty where it is not
     * @param trace how warm it is drawn
     */
    static Water of(
        Charge charge, Optional<Spirit> spirit, Trace trace, Optional<Jar> jar, Use use) {
      double spiritPercent = spirit.map(Spirit::loosePercent).orElse(0.0);
      Charge.Water brought = charge.water();
      double percent = brought.waterPercentOfOil() + spiritPercent;
      if (percent <= Charge.WATER_OIL_CAN_HOLD_PERCENT) {
        return NONE;
      }
      if (use == Use.KITCHEN) {
        return STAYS;
      }
      double mm = jar.map(Jar::innerDiameterMm).orElseGet(() -> usualDiameterMm(charge.oilMl()));
      return brought.waterPercentOfOil() <= Charge.WATER_OIL_CAN_HOLD_PERCENT
              || Evaporation.canLeave(brought.waterMl(), trace, mm)
          ? CAN_LEAVE
          : STAYS;
    }
  }

  /**
   * How it is drawn, for {@link #of}.
   *
   * @param wettest the herb's state
   */
  static KeepingOrder order(
      LocalDate begun,
      LocalDate strained,
      List<CarrierDates> carriers,
      HerbState wettest,
      Use use,
      InfusingLeg leg) {
    return new KeepingOrder(
        begun, strained, carriers, wettest, false, use, List.of(leg), List.of(), STORE);
  }

  /**
   * Promises.
   *
   * @param order how it is drawn and of what; its water and its store are decided here
   */
  static Promise of(KeepingOrder order, Water water) {
    boolean eaten = order.use() == Use.KITCHEN;
    LocalDate dry = date(order, false, eaten);
    LocalDate sure = water == Water.NONE ? dry : date(order, true, true);
    LocalDate once = water == Water.CAN_LEAVE ? latest(sure, dry) : sure;
    return new Promise(
        order.strainedOn(), sure, once, water, once.equals(Keeper.ownDate(order.carriers())));
  }

  private static LocalDate date(KeepingOrder order, boolean wet, boolean fridge) {
    Store store = fridge ? STORE.in(Store.Place.FRIDGE) : STORE;
    return Keeper.bestBefore(order.with(wet, store));
  }

  private static LocalDate latest(LocalDate one, LocalDate other) {
    return one.isAfter(other) ? one : other;
  }

  /** Whether it has to be shown dry before it keeps anywhere but in the fridge. */
  public boolean toBeShown() {
    return water == Water.CAN_LEAVE && onceDry.isAfter(strained);
  }

  /** For how long it keeps whatever is shown, days from straining. */
  public int sureDays() {
    return days(bestBefore);
  }

  /** For how long it keeps once it is shown dry, days from straining. */
  public int dryDays() {
    return days(onceDry);
  }

  private int days(LocalDate until) {
    return (int) Math.max(0, ChronoUnit.DAYS.between(strained, until));
  }
}
