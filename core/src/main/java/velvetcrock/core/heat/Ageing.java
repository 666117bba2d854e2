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

  /** Simpson’s rule is laid over pieces of at most this, °C; exact to 1e-7. */
  private static final double PIECE_C = 1;

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

  /** Mean rates over a linear piece, by Simpson’s rule. */
  static Aged meanRates(double fromC, Aged from, double toC, Aged to) {
    if (fromC == toC) {
      return from;
    }
    int pieces = (int) Math.max(1, Math.ceil(Math.abs(toC - fromC) / PIECE_C));
    double step = (toC - fromC) / pieces;
    double gentle = from.gentle() + to.gentle();
    double usual = from.usual() + to.usual();
    double steep = from.steep() + to.steep();
    for (int i = 0; i < pieces; i++) {
      Aged middle = rates(fromC + (i + 0.5) * step);
      gentle += 4 * middle.gentle();
      usual += 4 * middle.usual();
      steep += 4 * middle.steep();
      if (i > 0) {
        Aged join = rates(fromC + i * step);
        gentle += 2 * join.gentle();
        usual += 2 * join.usual();
        steep += 2 * join.steep();
      }
    }
    double parts = 6.0 * pieces;
    return new Aged(gentle / parts, usual / parts, steep / parts);
  }
}
