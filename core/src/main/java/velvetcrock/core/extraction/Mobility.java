package velvetcrock.core.extraction;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.FigureRow;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Part;

/**
 * μ(T) of a blend: ln η is the mean by volume of its carriers'. Below the mix's setting point it is
 * nothing. What diffuses is paced by the part of the plant besides.
 */
final class Mobility {
  /** Growth of mobility over 10 °C besides what viscosity does. */
  static final double USUAL_GROWTH = 1.15;

  private static final double REFERENCE_VISCOSITY = 84;
  private static final double REFERENCE_K = 293.15;
  private static final double HOURS_PER_DAY = 24;

  /** Sticky resin hardly draws below, and freely above, °C (estimate). */
  private static final double RESIN_STIFF_C = 40;

  private static final double RESIN_SOFT_C = 50;
  private static final double RESIN_STIFF = 0.3;

  /**
   * Up to this step the trapezoid with its end correction, −Δ/12·(μ′₂ − μ′₁), is exact to 1e-7 and
   * takes one exp a point; longer pieces are cut and take five nodes.
   */
  private static final double SMALL_STEP_C = 1;

  private static final double LARGE_STEP_C = 20;
  private static final GaussIntegrator FIVE = new GaussIntegratorFactory(5).legendre(5);

  private final double intercept;
  private final double slope;
  private final double growthPerC;
  private final double meltedAboveC;
  private final @Nullable Part part;
  private final double[] bendsC;
  private final double straightAboveC;

  /**
   * Of a blend.
   *
   * @param part whose diffusion it is; null for one of unknown pace, taken as 1
   * @param growth over 10 °C besides what viscosity does
   */
  Mobility(CarrierBlend carriers, @Nullable Part part, double growth) {
    double a = 0;
    double b = 0;
    for (CarrierBlend.Share share : carriers.shares()) {
      a += share.share() * share.carrier().viscosityIntercept();
      b += share.share() * share.carrier().viscositySlope();
    }
    this.intercept = Math.log(REFERENCE_VISCOSITY / REFERENCE_K) - a;
    this.slope = b;
    this.growthPerC = Math.log(growth) / 10;
    this.meltedAboveC = carriers.meltedAboveC();
    this.part = part;
    this.bendsC =
        part == Part.RESIN
            ? new double[] {meltedAboveC, RESIN_STIFF_C, RESIN_SOFT_C}
            : new double[] {meltedAboveC};
    this.straightAboveC = Arrays.stream(bendsC).max().orElseThrow();
  }

  /**
   * A point, with what it asks of the oil however mobility grows.
   *
   * @param perVogel 1/(T − T₀) of Vogel’s law, 1/K
   * @param pace of the part of the plant
   */
  record Next(double hours, double celsius, double perVogel, double pace) {}

  /** A point to go on to. */
  Next next(double hours, double celsius) {
    return new Next(hours, celsius, 1 / (celsius + Carrier.VOGEL), pace(celsius));
  }

  private double at(double celsius) {
    return (celsius + Carrier.KELVIN)
        * Math.exp(intercept - slope / (celsius + Carrier.VOGEL) + growthPerC * (celsius - 20));
  }

  private double pace(double celsius) {
    if (part == null) {
      return 1;
    }
    return switch (part) {
      case FLOWER, LEAF -> 1;
      case HEAD -> 0.8;
      case ROOT, SEED, FRUIT -> 0.6;
      case BARK -> 0.5;
      case RESIN -> {
        double soft = (celsius - RESIN_STIFF_C) / (RESIN_SOFT_C - RESIN_STIFF_C);
        yield RESIN_STIFF + (1 - RESIN_STIFF) * Math.max(0, Math.min(1, soft));
      }
    };
  }

  /** ∫ over a steady time. */
  Drawn steady(double celsius, double hours) {
    double days = celsius < meltedAboveC ? 0 : at(celsius) * hours / HOURS_PER_DAY;
    return new Drawn(days, days * pace(celsius));
  }

  /** Goes from point to point in straight lines, with one exp a point where they are close. */
  final class Walk {
    private boolean begun;
    private double hours;
    private double celsius;
    private double pace;
    private double mobility;
    private double fall;
    private double washDays;
    private double diffusionDays;

    /** One that goes on from here by itself. */
    Walk copy() {
      Walk copy = new Walk();
      FigureRow held = FigureRow.empty();
      keep(held);
      copy.resume(held);
      return copy;
    }

    /** Goes on from where another stood. */
    void resume(FigureRow kept) {
      begun = kept.nextSo();
      hours = kept.next();
      celsius = kept.next();
      pace = pace(celsius);
      mobility = kept.next();
      fall = kept.next();
      washDays = kept.next();
      diffusionDays = kept.next();
    }

    /** Puts down all that it holds, for {@link #resume}. */
    void keep(FigureRow row) {
      row.put(begun).put(hours, celsius, mobility, fall, washDays, diffusionDays);
    }

    /** Whether it is a short straight line to a point, on which nothing bends. */
    boolean glides(double nextC, double nextPace) {
      return begun
          && pace == nextPace
          && Math.abs(nextC - celsius) <= SMALL_STEP_C
          && !bends(celsius, nextC);
    }

    /** Days to the next point that are drawn in: none below the setting point. */
    double daysTo(double nextHours, double nextC) {
      return (celsius + nextC) / 2 < meltedAboveC ? 0 : (nextHours - hours) / HOURS_PER_DAY;
    }

    /** By how much it warms to the next point, °C. */
    double stepTo(double nextC) {
      return nextC - celsius;
    }

    /**
     * Goes on to the next point on a line that {@link #glides}.
     *
     * @param half half the {@link #daysTo days} to it
     * @param mend a twelfth of these days by the {@link #stepTo step}, for the trapezoid’s ends
     */
    void glide(Next to, double half, double mend) {
      double wasMobility = mobility;
      double wasFall = fall;
      arrive(to);
      double drawn = half * (wasMobility + mobility) - mend * (fall - wasFall);
      washDays += drawn;
      diffusionDays += drawn * pace;
    }

    /** Goes on to the next point, wherever it is. */
    void to(Next to) {
      if (glides(to.celsius(), to.pace())) {
        double days = daysTo(to.hours(), to.celsius());
        glide(to, days / 2, days * stepTo(to.celsius()) / 12);
        return;
      }
      if (begun) {
        bent(to.celsius(), (to.hours() - hours) / HOURS_PER_DAY);
      }
      begun = true;
      arrive(to);
    }

    private void arrive(Next to) {
      double perKelvin =
          Math.exp(intercept - slope * to.perVogel() + growthPerC * (to.celsius() - 20));
      double mu = (to.celsius() + Carrier.KELVIN) * perKelvin;
      hours = to.hours();
      celsius = to.celsius();
      pace = to.pace();
      mobility = mu;
      fall = perKelvin + mu * (slope * to.perVogel() * to.perVogel() + growthPerC);
    }

    /** What was drawn so far. */
    Drawn drawn() {
      return new Drawn(washDays, diffusionDays);
    }

    private void bent(double nextC, double days) {
      double step = nextC - celsius;
      List<Double> stops = stops(celsius, nextC);
      double from = celsius;
      stops.add(nextC);
      for (double to : stops) {
        double share = step == 0 ? 1 : (to - from) / step;
        Drawn part = between(from, to, days * share);
        washDays += part.washDays();
        diffusionDays += part.diffusionDays();
        from = to;
      }
    }
  }

  private boolean bends(double fromC, double toC) {
    if (Math.min(fromC, toC) >= straightAboveC) {
      return false;
    }
    for (double bend : bendsC) {
      if (lies(bend, fromC, toC)) {
        return true;
      }
    }
    return false;
  }

  private static boolean lies(double bend, double fromC, double toC) {
    return bend > Math.min(fromC, toC) && bend < Math.max(fromC, toC);
  }

  /** Where a straight line bends on its way, in its order. */
  private List<Double> stops(double fromC, double toC) {
    List<Double> stops = new ArrayList<>();
    for (double bend : bendsC) {
      if (lies(bend, fromC, toC)) {
        stops.add(bend);
      }
    }
    stops.sort(null);
    if (toC < fromC) {
      Collections.reverse(stops);
    }
    return stops;
  }

  /** Over a linear piece without a bend, by Gauss’s rule on cuts of at most 20 °C. */
  private Drawn between(double fromC, double toC, double days) {
    if ((fromC + toC) / 2 < meltedAboveC) {
      return Drawn.NOTHING;
    }
    double step = toC - fromC;
    int cuts = (int) Math.max(1, Math.ceil(Math.abs(step) / LARGE_STEP_C));
    double washed = 0;
    double diffused = 0;
    for (int cut = 0; cut < cuts; cut++) {
      double begin = fromC + step * cut / cuts;
      for (int i = 0; i < FIVE.getNumberOfPoints(); i++) {
        double celsius = begin + step / cuts * (1 + FIVE.getPoint(i)) / 2;
        double mu = FIVE.getWeight(i) * at(celsius);
        washed += mu;
        diffused += mu * pace(celsius);
      }
    }
    double per = days / 2 / cuts;
    return new Drawn(washed * per, diffused * per);
  }
}
