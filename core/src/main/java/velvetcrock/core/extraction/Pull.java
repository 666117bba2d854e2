package velvetcrock.core.extraction;

import static velvetcrock.core.Figures.plain;

import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Trace;
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
    double hours = legs.stream().mapToDouble(l -> l.trace().hours()).sum();
    return of(washDays, diffusionDays, hours, cut, spirit);
  }

  /** From days at the pace of olive oil at 20 °C, plain and weighted by agitation. */
  static Pull of(double washDays, double diffusionDays, double hours, Cut cut, boolean spirit) {
    double wash = spirit ? wash(cut) + SPIRIT_WASH * (1 - wash(cut)) : wash(cut);
    double pace = pace(cut) * (spirit ? SPIRIT_PACE : 1);
    double washed = wash * -Math.expm1(-WASH_PER_DAY * washDays);
    double diffused = (1 - wash) * -Math.expm1(-DIFFUSION_PER_DAY * pace * diffusionDays);

    Reckoning.Writer lines = Reckoning.writer();
    lines.line(
        "Days at the pace of olive oil at 20 °C",
        "∫ mobility dt over " + plain(hours) + " h",
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
}
