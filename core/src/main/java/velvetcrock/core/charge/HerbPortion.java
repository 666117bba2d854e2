package velvetcrock.core.charge;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;
import velvetcrock.core.moisture.Moisture;

/**
 * One herb of a charge, as it goes in.
 *
 * @param massG weight as it goes in, g, 0.001 to 100 000
 * @param waterFraction water content, wet basis, 0–0.97
 */
public record HerbPortion(
    Herb herb, Part part, Cut cut, HerbState state, double massG, double waterFraction) {

  /** Solid matter of plants, g/ml (typical). */
  static final double SOLIDS_G_PER_ML = 1.40;

  /** Swelling of a dried herb's bed in its first two days (typical). */
  static final double SWELLING = 0.15;

  private static final double LIGHTEST_G = 0.001;
  private static final double HEAVIEST_G = 100_000;

  /**
   * Checks the figures.
   *
   * @throws velvetcrock.core.Refused at {@code massG} or {@code waterFraction}
   */
  public HerbPortion {
    Problems problems = new Problems();
    problems.require(
        massG >= LIGHTEST_G && massG <= HEAVIEST_G,
        "massG",
        () -> "The herb weighs more than nothing and at most 100 kg; " + massG + " g was read.");
    problems.require(
        waterFraction >= 0 && waterFraction <= 0.97,
        "waterFraction",
        () -> "Water is a share between 0 and 0.97; " + waterFraction + " was read.");
    problems.refuseIfAny();
    part = herb.partNow(part);
  }

  /** A portion with the usual water content of its state. */
  public static HerbPortion usual(Herb herb, Part part, Cut cut, HerbState state, double massG) {
    return new HerbPortion(herb, part, cut, state, massG, herb.waterFraction(state));
  }

  /** The same herb in another cut. */
  public HerbPortion withCut(Cut finer) {
    return new HerbPortion(herb, part, finer, state, massG, waterFraction);
  }

  /** The same herb in another amount. */
  public HerbPortion withMassG(double grams) {
    return new HerbPortion(herb, part, cut, state, grams, waterFraction);
  }

  /**
   * What its speed is learned of, in an oil.
   *
   * @param way how it is drawn; null for what holds however it is drawn
   */
  public Speed.HerbInOil in(String carrier, @Nullable Method way) {
    return new Speed.HerbInOil(herb.key(), part, cut, carrier, way);
  }

  /** Dry matter: m·(1 − M), g. */
  public double dryMatterG() {
    return massG * (1 - waterFraction);
  }

  /** Water that can go into the oil: m·(M − 0.12)/0.88, none below 0.12; g. */
  public double freeWaterG() {
    return Moisture.freeWaterG(massG, waterFraction);
  }

  /** Water of the spirit that it binds, g. */
  public double canBindG() {
    return Moisture.canBindG(massG, waterFraction);
  }

  /** Settled bed when it has just been covered: m/ρ, ml. */
  double bedMl(Catalogue catalogue) {
    return massG / catalogue.bedDensity(herb, part, cut, state, waterFraction);
  }

  /** What its bed gains by swelling: 15 % dried, less the fresher it is, ml. */
  double swellingMl(Catalogue catalogue) {
    return SWELLING * (1 - Catalogue.freshness(herb, state, waterFraction)) * bedMl(catalogue);
  }

  /** Space that the herb itself takes up, without the gaps between; ml. */
  public double solidsMl() {
    return state == HerbState.DRIED
        ? massG / SOLIDS_G_PER_ML
        : dryMatterG() / SOLIDS_G_PER_ML + massG * waterFraction;
  }
}
