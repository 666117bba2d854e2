package velvetcrock.core.heat;

import java.util.List;

/**
 * Ageing hours: A = ∫ 2^((T − 20)/10) dt, the hours at 20 °C that a course of temperature is worth;
 * the rule that oxidation doubles with every 10 °C (typical for triglyceride oils).
 */
public final class Ageing {
  /** Temperature at which an hour counts as an hour, °C. */
  public static final double REFERENCE_C = 20;

  private static final double DOUBLING_C = 10;
  private static final double LN_PER_C = Math.log(2) / DOUBLING_C;

  /** Below this logarithm the two ends' mean is as exact as the quotient, and safer. */
  private static final double FLAT = 1e-5;

  private Ageing() {}

  /** How many times as fast as at 20 °C an oil ages: 2^((T − 20)/10). */
  public static double rate(double celsius) {
    return Math.exp(LN_PER_C * (celsius - REFERENCE_C));
  }

  /** Ageing hours of a trace; additive over its parts. */
  public static double hours(Trace trace) {
    List<Trace.Point> points = trace.points();
    if (points.isEmpty()) {
      return 0;
    }
    double total = 0;
    Trace.Point from = points.get(0);
    double rateFrom = rate(from.celsius());
    for (Trace.Point to : points) {
      double rateTo = rate(to.celsius());
      total +=
          (to.hours() - from.hours()) * meanRate(from.celsius(), rateFrom, to.celsius(), rateTo);
      from = to;
      rateFrom = rateTo;
    }
    return total;
  }

  /**
   * The steady temperature that ages as much in the same time: 20 + 10·log₂(A/hours), °C.
   *
   * @param ageingHours A, above 0
   * @param hours above 0
   */
  public static double meanKineticC(double ageingHours, double hours) {
    return REFERENCE_C + Math.log(ageingHours / hours) / LN_PER_C;
  }

  /** Mean rate over a linear piece, exactly: (a₂ − a₁)/ln(a₂/a₁). */
  static double meanRate(double fromC, double rateFrom, double toC, double rateTo) {
    double logRatio = LN_PER_C * (toC - fromC);
    return Math.abs(logRatio) < FLAT ? (rateFrom + rateTo) / 2 : (rateTo - rateFrom) / logRatio;
  }
}
