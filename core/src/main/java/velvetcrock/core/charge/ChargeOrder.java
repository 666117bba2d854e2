package velvetcrock.core.charge;

import java.util.List;
import java.util.Optional;
import velvetcrock.core.Problems;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Jar;

/**
 * What goes in: herbs, oil, and the jar if it is known.
 *
 * @param herbs at least one
 * @param jar the jar; without one no cover can be reckoned and only the gaps are filled
 * @param coverMm depth of oil wanted above the settled herb, mm, 0–200
 */
public record ChargeOrder(
    List<HerbPortion> herbs,
    CarrierBlend carriers,
    Ratio ratio,
    Optional<Jar> jar,
    double coverMm) {

  /** Cover that is aimed at where none is named, mm (practice: 10–25). */
  public static final double USUAL_COVER_MM = 12;

  /** Cover under which a warning is due, mm. */
  public static final double THIN_COVER_MM = 6;

  /** Share of a slurry that comes out of the blender again (practice). */
  public static final double OUT_OF_BLENDER = 0.97;

  /** Checks and copies. */
  public ChargeOrder {
    herbs = List.copyOf(herbs);
    Problems problems = new Problems();
    problems.require(!herbs.isEmpty(), "herbs", "Name at least one herb.");
    problems.require(
        coverMm >= 0 && coverMm <= 200,
        "coverMm",
        () -> "Cover is between 0 and 200 mm; " + coverMm + " mm was read.");
    problems.refuseIfAny();
  }

  /** The same order with another ratio. */
  public ChargeOrder withRatio(Ratio other) {
    return new ChargeOrder(herbs, carriers, other, jar, coverMm);
  }

  /** The same order with every herb in another cut. */
  public ChargeOrder withCut(Cut cut) {
    return new ChargeOrder(
        herbs.stream().map(h -> h.withCut(cut)).toList(), carriers, ratio, jar, coverMm);
  }

  /** The same order in another jar. */
  public ChargeOrder withJar(Jar other) {
    return new ChargeOrder(herbs, carriers, ratio, Optional.of(other), coverMm);
  }

  /** The same order with every herb's weight multiplied. */
  public ChargeOrder scaledHerb(double factor) {
    return new ChargeOrder(
        herbs.stream().map(h -> h.withMassG(h.massG() * factor)).toList(),
        carriers,
        ratio,
        jar,
        coverMm);
  }

  /**
   * What reaches the jar when herb and oil are blended together first: cut as fine as ground herb,
   * less the 3 % that stays in the blender (practice).
   */
  public ChargeOrder blended() {
    Ratio arriving =
        ratio instanceof Ratio.Oil oil ? new Ratio.Oil(oil.ml() * OUT_OF_BLENDER) : ratio;
    return withCut(Cut.GROUND).scaledHerb(OUT_OF_BLENDER).withRatio(arriving);
  }

  /** Weight of all herbs, g. */
  public double herbMassG() {
    return herbs.stream().mapToDouble(HerbPortion::massG).sum();
  }
}
