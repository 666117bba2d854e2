package velvetcrock.core.making;

import velvetcrock.core.Problems;
import velvetcrock.core.Range;

/** Gauze soaked in set oil: a cloth takes up about twice its weight in oil, 1.5 to 2.5 ml/g. */
public final class CompressPads {
  private static final Range ML_PER_G = new Range(1.5, 2.5);
  private static final double MM2_PER_M2 = 1_000_000;

  private CompressPads() {}

  /**
   * Oil for one pad, ml.
   *
   * @param widthMm width of the cloth laid flat, mm
   * @param lengthMm its length, mm
   * @param gPerM2 its weight, g per m²
   * @param layers how often it is folded over itself, 1 or more
   * @throws velvetcrock.core.Refused at the field that cannot be
   */
  public static Range mlPerPad(double widthMm, double lengthMm, double gPerM2, int layers) {
    Problems problems = new Problems();
    problems.require(widthMm > 0 && widthMm <= 2000, "widthMm", "Above 0 and at most 2 m.");
    problems.require(lengthMm > 0 && lengthMm <= 2000, "lengthMm", "Above 0 and at most 2 m.");
    problems.require(gPerM2 >= 10 && gPerM2 <= 1000, "gPerM2", "Between 10 and 1000 g per m².");
    problems.require(layers >= 1 && layers <= 64, "layers", "Between 1 and 64 layers.");
    problems.refuseIfAny();
    return ML_PER_G.times(widthMm * lengthMm / MM2_PER_M2 * gPerM2 * layers);
  }
}
