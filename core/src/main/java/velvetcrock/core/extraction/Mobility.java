package velvetcrock.core.extraction;

import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Carrier;

/** μ(T) of a blend: ln η is the mean by volume of its carriers'. */
final class Mobility {
  private static final double REFERENCE_VISCOSITY = 84;
  private static final double REFERENCE_K = 293.15;
  private static final double LN_PER_C = Math.log(1.15) / 10;
  private static final double HOURS_PER_DAY = 24;

  /**
   * Up to this step the trapezoid with its end correction, −Δ/12·(μ′₂ − μ′₁), is exact to 1e-7 and
   * takes one exp a point; longer pieces are cut and take five nodes.
   */
  private static final double SMALL_STEP_C = 1;

  private static final double LARGE_STEP_C = 20;
  private static final GaussIntegrator FIVE = new GaussIntegratorFactory(5).legendre(5);

  private final double intercept;
  private final double slope;

  Mobility(CarrierBlend carriers) {
    double a = 0;
    double b = 0;
    for (CarrierBlend.Share share : carriers.shares()) {
      a += share.share() * share.carrier().viscosityIntercept();
      b += share.share() * share.carrier().viscositySlope();
    }
    this.intercept = Math.log(REFERENCE_VISCOSITY / REFERENCE_K) - a;
    this.slope = b;
  }

  double at(double celsius) {
    double kelvin = celsius + Carrier.KELVIN;
    return kelvin * Math.exp(intercept - slope / kelvin + LN_PER_C * (celsius - 20));
  }

  /** dμ/dT from μ, per °C: no exp of its own. */
  private double fall(double celsius, double mobility) {
    double kelvin = celsius + Carrier.KELVIN;
    return mobility * (1 / kelvin + slope / (kelvin * kelvin) + LN_PER_C);
  }

  /** ∫ μ dt, days. */
  double days(Trace trace) {
    Walk walk = new Walk();
    trace.points().forEach(p -> walk.to(p.hours(), p.celsius()));
    return walk.days();
  }

  /** Sums ∫ μ dt piece by piece, with one exp a point. */
  final class Walk {
    private boolean begun;
    private double hours;
    private double celsius;
    private double mobility;
    private double fall;
    private double sum;

    /** Goes on to the next point in a straight line; hands back what the piece added, days. */
    double to(double nextHours, double nextC) {
      double mu = at(nextC);
      double falls = fall(nextC, mu);
      double added = 0;
      if (begun) {
        double step = nextC - celsius;
        double mean =
            Math.abs(step) <= SMALL_STEP_C
                ? (mobility + mu) / 2 - step / 12 * (falls - fall)
                : mean(celsius, step);
        added = (nextHours - hours) * mean;
        sum += added;
      }
      begun = true;
      hours = nextHours;
      celsius = nextC;
      mobility = mu;
      fall = falls;
      return added / HOURS_PER_DAY;
    }

    double days() {
      return sum / HOURS_PER_DAY;
    }
  }

  /** Mean of μ over a long linear piece, by Gauss’s rule on cuts of at most 20 °C. */
  private double mean(double fromC, double step) {
    int cuts = (int) Math.ceil(Math.abs(step) / LARGE_STEP_C);
    double sum = 0;
    for (int cut = 0; cut < cuts; cut++) {
      double begin = fromC + step * cut / cuts;
      for (int i = 0; i < FIVE.getNumberOfPoints(); i++) {
        sum += FIVE.getWeight(i) * at(begin + step / cuts * (1 + FIVE.getPoint(i)) / 2);
      }
    }
    return sum / 2 / cuts;
  }
}
