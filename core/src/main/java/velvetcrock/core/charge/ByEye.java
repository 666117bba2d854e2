package velvetcrock.core.charge;

import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;

/**
 * A charge by eye, brought to grams and millilitres: the herb's layer times its loose density, and
 * the oil that fills the gaps in that layer and stands above it. Ranges, because packing varies.
 *
 * @param herbMassG herb, g, from barely poured to pressed
 * @param oilMl oil, ml; the least where the herb is packed tightest
 */
public record ByEye(Range herbMassG, Range oilMl, Reckoning reckoning) {

  /** What the herb is. */
  public record Filling(Herb herb, Part part, Cut cut, HerbState state) {}

  /**
   * From two depths.
   *
   * @param herbMm depth of the loose herb before the oil, mm, above 0
   * @param aboveMm depth of oil above it, mm, not negative; both together no higher than the brim
   * @throws velvetcrock.core.Refused at {@code herbMm} or {@code aboveMm}
   */
  public static ByEye ofLayers(
      Jar jar, Filling filling, double herbMm, double aboveMm, Catalogue catalogue) {
    Problems problems = new Problems();
    problems.require(
        herbMm > 0 && herbMm <= jar.brimMm(),
        "herbMm",
        "The herb stands above 0 and at most to the brim, " + Math.round(jar.brimMm()) + " mm.");
    problems.require(
        aboveMm >= 0 && herbMm + aboveMm <= jar.brimMm() + 1e-9,
        "aboveMm",
        "Herb and oil together stand no higher than the brim, "
            + Math.round(jar.brimMm())
            + " mm.");
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double bedMl =
        lines.line(
            "Herb’s layer", "its depth in the jar", jar.volumeMl(herbMm), "ml", Standing.MEASURED);
    Range loose =
        catalogue.looseRange(filling.herb(), filling.part(), filling.cut(), filling.state());
    Range grams =
        lines.line("Herb", "layer × loose density", loose.times(bedMl), "g", Standing.ESTIMATE);
    double aboveMl = jar.volumeMl(aboveMm);
    Range oil =
        lines.line(
            "Oil",
            "fills the gaps and stands above",
            Range.between(
                oilMl(filling, grams.high(), bedMl, aboveMl),
                oilMl(filling, grams.low(), bedMl, aboveMl)),
            "ml",
            Standing.ESTIMATE);
    return new ByEye(grams, oil, lines.done());
  }

  /**
   * From shares of the jar.
   *
   * @param herbShare how full of herb, 0–1 of the brim
   * @param fillShare how full in all once the oil is in, 0–1 of the brim
   * @throws velvetcrock.core.Refused at {@code herbMm} or {@code aboveMm}
   */
  public static ByEye ofShares(
      Jar jar, Filling filling, double herbShare, double fillShare, Catalogue catalogue) {
    double brimMm = jar.brimMm();
    return ofLayers(jar, filling, herbShare * brimMm, (fillShare - herbShare) * brimMm, catalogue);
  }

  private static double oilMl(Filling filling, double grams, double bedMl, double aboveMl) {
    double solids =
        HerbPortion.usual(filling.herb(), filling.part(), filling.cut(), filling.state(), grams)
            .solidsMl();
    return Math.max(0, bedMl - solids) + aboveMl;
  }
}
