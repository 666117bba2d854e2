package velvetcrock.core.heat;

import java.util.List;

/**
 * Ageing hours: A = ∫ exp(E/R·(1/293.15 − 1/T)) dt, the hours at 20 °C that a course of temperature
 * is worth, with an activation energy E of 70 kJ/mol, 60 to 80. Fat oxidation is reported from
 * about 50 to over 100; 70 joins room temperature to accelerated tests (Frankel 2005; our
 * estimate).
 */
public final class Ageing {
  /** Temperature at which an hour counts as an hour, °C. */
  public static final double REFERENCE_C = 20;

  /** The rule in words, for a line of a reckoning. */
  static final String RULE = "∫ exp(E/R · (1/293.15 − 1/T)) dt, E = 70 (60–80) kJ/mol";

  private static final double KELVIN = 273.15;
  private static final double REFERENCE_K = KELVIN + REFERENCE_C;
  private static final double USUAL_KJ = 70;

  /** What the energies are multiples of, kJ/mol: one exp then serves all three. */
  private static final double STEP_KJ = 10;

  /** Gas constant, kJ/(mol·K). */
  private static final double GAS = 0.008314462618;

  /** How many steps the lowest of the three energies has. */
  private static final int GENTLE_STEPS = 6;

  /** The trapezoid is laid over pieces of at most this, °C; exact to 1e-7. */
  private static final double PIECE_C = 0.8;

  private Ageing() {}

  /** How many times as fast as at 20 °C an oil ages. */
  public static double rate(double celsius) {
    return rates(celsius).usual();
  }

  /** The same at each of the three energies. */
  public static Aged rates(double celsius) {
    double step = Math.exp(STEP_KJ / GAS * (1 / REFERENCE_K - 1 / (celsius + KELVIN)));
    double cube = step * step * step;
    double gentle = cube * cube;
    double usual = gentle * step;
    return new Aged(gentle, usual, usual * step);
  }

  /**
   * Ageing hours of a trace that is a straight line between its points; additive over its parts.
   */
  public static double hours(Trace trace) {
    return of(trace).usual();
  }

  /** The same at each of the three energies. */
  public static Aged of(Trace trace) {
    List<Trace.Point> points = trace.points();
    if (points.isEmpty()) {
      return Aged.NONE;
    }
    double gentle = 0;
    double usual = 0;
    double steep = 0;
    Trace.Point from = points.get(0);
    Aged rate = rates(from.celsius());
    for (Trace.Point to : points) {
      double hours = to.hours() - from.hours();
      Aged next = rates(to.celsius());
      Aged mean = meanRates(from.celsius(), rate, to.celsius(), next);
      gentle += hours * mean.gentle();
      usual += hours * mean.usual();
      steep += hours * mean.steep();
      from = to;
      rate = next;
    }
    return new Aged(gentle, usual, steep);
  }

  /**
   * The steady temperature that ages as much in the same time, °C.
   *
   * @param ageingHours A, above 0
   * @param hours above 0
   */
  public static double meanKineticC(double ageingHours, double hours) {
    return 1 / (1 / REFERENCE_K - GAS / USUAL_KJ * Math.log(ageingHours / hours)) - KELVIN;
  }

  /**
   * Mean rates over a linear piece, by the trapezoid with its end correction, −Δ/12·(r′₂ − r′₁)
   * with r′ = r·E/(R·T²): a short piece takes no exp but those of its ends.
   */
  static Aged meanRates(double fromC, Aged from, double toC, Aged to) {
    if (fromC == toC) {
      return from;
    }
    double rise = toC - fromC;
    int pieces = Math.abs(rise) <= PIECE_C ? 1 : (int) Math.ceil(Math.abs(rise) / PIECE_C);
    double step = rise / pieces;
    double fromGrowth = -step / 12 * growth(fromC);
    double toGrowth = -step / 12 * growth(toC);
    double gentle = mended(from.gentle(), fromGrowth, to.gentle(), toGrowth, GENTLE_STEPS);
    double usual = mended(from.usual(), fromGrowth, to.usual(), toGrowth, GENTLE_STEPS + 1);
    double steep = mended(from.steep(), fromGrowth, to.steep(), toGrowth, GENTLE_STEPS + 2);
    if (pieces == 1) {
      return new Aged(gentle, usual, steep);
    }
    for (int i = 1; i < pieces; i++) {
      Aged join = rates(fromC + i * step);
      gentle += join.gentle();
      usual += join.usual();
      steep += join.steep();
    }
    return new Aged(gentle / pieces, usual / pieces, steep / pieces);
  }

  private static double mended(
      double from, double fromGrowth, double to, double toGrowth, int steps) {
    return (from + to) / 2 + steps * (to * toGrowth - from * fromGrowth);
  }

  /** d ln(rate)/dT a step of energy, per °C. */
  private static double growth(double celsius) {
    double kelvin = celsius + KELVIN;
    return STEP_KJ / GAS / (kelvin * kelvin);
  }
}
