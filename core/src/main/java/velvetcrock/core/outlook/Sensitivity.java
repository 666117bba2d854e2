package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import velvetcrock.core.Range;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Powder;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.moisture.Moisture;

/**
 * How much a result moves if a figure lies at the other end of what it may be. How far it may be
 * off is our estimate, unless the table gives its range.
 *
 * @param figure the figure
 * @param value as it is reckoned with
 * @param may between what it may be
 * @param effect the result that is looked at
 * @param at the result as it is reckoned
 * @param moves between what the result then lies
 */
public record Sensitivity(
    Figure figure, double value, Range may, Effect effect, double at, Range moves) {
  /** A figure of the catalogue. */
  public enum Figure {
    /** Water of a fresh herb, share. */
    WATER_FRESH,
    /** Dried cut herb in a settled bed, g/ml. */
    BED,
    /** Density, g/ml. */
    DENSITY,
    /** Viscosity at 20 °C, mPa·s. */
    VISCOSITY,
    /** Months that it keeps. */
    KEEPS,
    /** Its part in the hardness of a balm. */
    HARDNESS,
    /** Loose by the spoon, g/ml. */
    BULK
  }

  /** A result that a figure moves. */
  public enum Effect {
    /** Water that 100 g of it fresh brings into the oil, g. */
    WATER_OF_100_G,
    /** Oil that fills the gaps of a gram of it, ml. */
    OIL_TO_COVER,
    /** What 100 ml weigh, g. */
    WEIGHT_OF_100_ML,
    /** Pull of cut dried herb: three weeks at 20 °C, or what is solid there six hours at 43 °C. */
    PULL,
    /** Days that a cold infusion of a bottle bought today keeps, from straining. */
    DAYS_IT_KEEPS,
    /** Wax that makes a salve of 100 g of oil, g. */
    WAX_FOR_100_G,
    /** What a tablespoon weighs, g. */
    WEIGHT_OF_A_SPOON
  }

  private static final double WATER_WITHIN = 0.04;
  private static final double BED_WITHIN = 0.3;
  private static final double DENSITY_WITHIN = 0.005;
  private static final double VISCOSITY_WITHIN = 0.2;
  private static final double KEEPS_WITHIN = 0.25;
  private static final double HARDNESS_WITHIN = 0.1;
  private static final double WETTEST = 0.95;
  private static final double SOLIDS_G_PER_ML = 1.40;
  private static final double SWOLLEN = 1.15;
  private static final double SALVE = 16;
  private static final double TABLESPOON_ML = 14.7868;
  private static final double DAYS_A_MONTH = 30.4;
  private static final int INFUSES_DAYS = 35;

  private static Sensitivity of(
      Figure figure, double value, Range may, Effect effect, DoubleUnaryOperator result) {
    double at = result.applyAsDouble(value);
    double one = result.applyAsDouble(may.low());
    double other = result.applyAsDouble(may.high());
    return new Sensitivity(
        figure,
        value,
        may,
        effect,
        at,
        new Range(Math.min(at, Math.min(one, other)), Math.max(at, Math.max(one, other))));
  }

  private static Range share(double value, double within) {
    return new Range(value * (1 - within), value * (1 + within));
  }

  /** Of a herb. */
  public static List<Sensitivity> of(Herb herb, Catalogue catalogue) {
    double water = herb.waterFresh();
    double bed = catalogue.bedDensity(herb.bestPart(), Cut.CUT);
    return List.of(
        of(
            Figure.WATER_FRESH,
            water,
            new Range(
                Math.max(0, water - WATER_WITHIN),
                Math.max(water, Math.min(WETTEST, water + WATER_WITHIN))),
            Effect.WATER_OF_100_G,
            m -> Moisture.freeWaterG(100, m)),
        of(
            Figure.BED,
            bed,
            share(bed, BED_WITHIN),
            Effect.OIL_TO_COVER,
            rho -> SWOLLEN / rho - 1 / SOLIDS_G_PER_ML));
  }

  /**
   * Of an oil or fat.
   *
   * @param today the day on which it is bought
   */
  public static List<Sensitivity> of(Carrier carrier, LocalDate today) {
    double density = carrier.body().density20();
    double viscosity = carrier.body().viscosity20();
    List<Sensitivity> all = new ArrayList<>();
    all.add(
        of(
            Figure.DENSITY,
            density,
            new Range(density - DENSITY_WITHIN, density + DENSITY_WITHIN),
            Effect.WEIGHT_OF_100_ML,
            rho -> 100 * rho));
    all.add(
        of(
            Figure.VISCOSITY,
            viscosity,
            share(viscosity, VISCOSITY_WITHIN),
            Effect.PULL,
            eta -> pull(carrier.thinned(eta / viscosity))));
    all.add(
        of(
            Figure.KEEPS,
            carrier.keepsMonths(),
            share(carrier.keepsMonths(), KEEPS_WITHIN),
            Effect.DAYS_IT_KEEPS,
            months -> days(carrier, today, months)));
    return all;
  }

  private static double pull(Carrier carrier) {
    CarrierBlend alone = CarrierBlend.of(carrier);
    boolean solid = alone.meltedAboveC() > Carrier.ROOM_C;
    Trace trace = solid ? Trace.steady(43, 6) : Trace.steady(Carrier.ROOM_C, 21 * 24);
    return Pull.of(
            List.of(new Pull.Leg(trace, Agitation.DAILY)),
            alone,
            new Pull.Herb(Cut.CUT, null, false))
        .pull();
  }

  private static double days(Carrier carrier, LocalDate today, double months) {
    LocalDate strained = today.plusDays(INFUSES_DAYS);
    CarrierDates dates =
        new CarrierDates(carrier, 1, today.plusDays(Math.round(months * DAYS_A_MONTH)), null, null);
    InfusingLeg leg =
        new InfusingLeg(
            "infusing",
            INFUSES_DAYS * 24.0,
            Trace.steady(Carrier.ROOM_C, INFUSES_DAYS * 24.0),
            Light.DARK);
    return Promise.of(
            Promise.order(today, strained, List.of(dates), HerbState.DRIED, Use.SKIN, leg),
            Promise.Water.NONE)
        .sureDays();
  }

  /** Of a wax. */
  public static List<Sensitivity> of(Wax wax) {
    return List.of(
        of(
            Figure.HARDNESS,
            wax.hardness(),
            share(wax.hardness(), HARDNESS_WITHIN),
            Effect.WAX_FOR_100_G,
            h -> 100 * SALVE / (h - SALVE)));
  }

  /** Of a powder. */
  public static List<Sensitivity> of(Powder powder) {
    return List.of(
        of(
            Figure.BULK,
            powder.bulkDensity(),
            powder.bulkRange(),
            Effect.WEIGHT_OF_A_SPOON,
            rho -> TABLESPOON_ML * rho));
  }
}
