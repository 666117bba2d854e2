package velvetcrock.core.extraction;

import static velvetcrock.core.Figures.plain;

import java.util.List;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;

/**
 * Relative pull, 0 to 1: E = w·(1 − exp(−∫k_w dt)) + (1 − w)·(1 − exp(−∫k_d dt)), a quick wash from
 * broken cells and a slow diffusion, both at a pace that follows the oil's mobility μ(T) =
 * (T_K/293.15)·(84/η(T))·1.15^((T−20)/10). Anchored on cut dried herb in olive oil at 20 °C, shaken
 * daily: 0.90 at 35 days. An estimate for comparing ways, to ± 0.1.
 *
 * @param pull the estimate
 * @param range ± 0.1 of it, within 0 to 1
 */
public record Pull(double pull, Range range, Reckoning reckoning) {
  private static final double WITHIN = 0.1;
  private static final double WASH_PER_DAY = Math.log(10) / 0.25;
  private static final double DIFFUSION_PER_DAY = Math.log(7) / 35;
  private static final double SPIRIT_PACE = 1.5;
  private static final double SPIRIT_WASH = 0.35;
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

  /** A stretch of time: its temperatures and how the herb was moved. */
  public record Leg(Trace trace, Agitation agitation) {}

  /**
   * Reckons the pull of one or more stretches after one another.
   *
   * @param legs at least one
   * @param spirit whether the herb was dampened with spirit first
   * @throws velvetcrock.core.Refused at {@code trace} where an oil is below its melting point: a
   *     solid fat does not infuse
   */
  public static Pull of(List<Leg> legs, CarrierBlend carriers, Cut cut, boolean spirit) {
    Problems problems = new Problems();
    double melted = carriers.meltedAboveC();
    problems.require(
        legs.stream().allMatch(l -> l.trace().coldestC() >= melted),
        "trace",
        "Below " + plain(melted) + " °C some of it is solid, and a solid fat does not infuse.");
    problems.refuseIfAny();

    Mobility mobility = new Mobility(carriers);
    double washDays = 0;
    double diffusionDays = 0;
    for (Leg leg : legs) {
      double days = mobility.days(leg.trace());
      washDays += days;
      diffusionDays += days * leg.agitation().pace();
    }
    double wash = spirit ? wash(cut) + SPIRIT_WASH * (1 - wash(cut)) : wash(cut);
    double pace = pace(cut) * (spirit ? SPIRIT_PACE : 1);
    double washed = wash * -Math.expm1(-WASH_PER_DAY * washDays);
    double diffused = (1 - wash) * -Math.expm1(-DIFFUSION_PER_DAY * pace * diffusionDays);

    Reckoning.Writer lines = Reckoning.writer();
    lines.line(
        "Days at the pace of olive oil at 20 °C",
        "∫ mobility dt over "
            + plain(legs.stream().mapToDouble(l -> l.trace().hours()).sum())
            + " h",
        washDays,
        "days",
        Standing.ESTIMATE);
    lines.line(
        "Washed from broken cells",
        plain(wash) + " of all is within quick reach",
        washed,
        "",
        Standing.ESTIMATE);
    lines.line(
        "Drawn slowly",
        plain(1 - wash) + " of all, by cut × " + plain(pace) + " and by how it was moved",
        diffused,
        "",
        Standing.ESTIMATE);
    double pull = Math.min(1, washed + diffused);
    Range range = new Range(Math.max(0, pull - WITHIN), Math.min(1, pull + WITHIN));
    lines.line("Pull", plain(washed) + " + " + plain(diffused), range, "", Standing.ESTIMATE);
    return new Pull(pull, range, lines.done());
  }

  private static double wash(Cut cut) {
    return switch (cut) {
      case WHOLE -> 0.15;
      case CUT -> 0.30;
      case GROUND -> 0.45;
      case POWDER -> 0.60;
    };
  }

  private static double pace(Cut cut) {
    return switch (cut) {
      case WHOLE -> 0.6;
      case CUT -> 1;
      case GROUND -> 1.6;
      case POWDER -> 2.4;
    };
  }

  /** μ(T) of a blend: ln η is the mean by volume of its carriers'. */
  private static final class Mobility {
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
      List<Trace.Point> points = trace.points();
      if (points.isEmpty()) {
        return 0;
      }
      double hours = 0;
      Trace.Point from = points.get(0);
      double muFrom = at(from.celsius());
      double fallFrom = fall(from.celsius(), muFrom);
      for (Trace.Point to : points) {
        double mu = at(to.celsius());
        double fall = fall(to.celsius(), mu);
        double step = to.celsius() - from.celsius();
        double mean =
            Math.abs(step) <= SMALL_STEP_C
                ? (muFrom + mu) / 2 - step / 12 * (fall - fallFrom)
                : mean(from.celsius(), step);
        hours += (to.hours() - from.hours()) * mean;
        from = to;
        muFrom = mu;
        fallFrom = fall;
      }
      return hours / HOURS_PER_DAY;
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
}
