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

  private Ageing() {}

  /** How many times as fast as at 20 °C an oil ages: 2^((T − 20)/10). */
  public static double rate(double celsius) {
    return Math.pow(2, (celsius - REFERENCE_C) / DOUBLING_C);
  }

  /** Ageing hours of a trace; additive over its parts. */
  public static double hours(Trace trace) {
    List<Trace.Point> points = trace.points();
    double total = 0;
    for (int i = 1; i < points.size(); i++) {
      total += piece(points.get(i - 1), points.get(i));
    }
    return total;
  }

  /** Exact for a linear piece: Δt·(a₂ − a₁)/ln(a₂/a₁). */
  private static double piece(Trace.Point from, Trace.Point to) {
    double hours = to.hours() - from.hours();
    double rateFrom = rate(from.celsius());
    double rateTo = rate(to.celsius());
    double logRatio = Math.log(rateTo / rateFrom);
    return Math.abs(logRatio) < 1e-9 ? hours * rateFrom : hours * (rateTo - rateFrom) / logRatio;
  }
}
