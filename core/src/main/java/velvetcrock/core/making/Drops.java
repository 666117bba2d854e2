package velvetcrock.core.making;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.materia.EssentialOil;

/**
 * Essential oils in a pot: % by volume = drops × drop volume ÷ volume, against the general ceiling
 * of its use, each oil's own, and the one that sun-sensitising oils share (Σ percent/ceiling ≤ 1).
 *
 * @param percent of all together
 * @param ceilingPercent the general ceiling of the use
 * @param ok whether every ceiling holds
 * @param each oil by oil
 * @param sunShare Σ percent/ceiling of the sun-sensitising oils; above 1 is too much
 * @param mostDrops the largest number of drops in these proportions that passes every ceiling
 */
public record Drops(
    double percent,
    double ceilingPercent,
    boolean ok,
    List<Each> each,
    double sunShare,
    int mostDrops,
    Reckoning reckoning) {

  /** A drop of essential oil, ml (typical). */
  public static final double USUAL_DROP_ML = 0.05;

  private static final double TOLERANCE = 1e-9;

  /** A tin may get a small part of a drop of the whole melt. */
  private static final double LEAST = 1e-6;

  /** Where it is used, with the most essential oil in all, % by volume (usual guidance). */
  public enum Where {
    /** On the face. */
    FACE(1),
    /** On the body. */
    BODY(2),
    /** On a small area for a short time. */
    SMALL_AREA(4),
    /** In pregnancy. */
    PREGNANCY(1),
    /** On children from 2 to 6 years. */
    CHILD_2_6(0.5),
    /** On children from 6 to 12 years. */
    CHILD_6_12(1),
    /** On children under 2 years: none. */
    UNDER_2(0);

    private final double ceilingPercent;

    Where(double ceilingPercent) {
      this.ceilingPercent = ceilingPercent;
    }

    OptionalDouble own(EssentialOil oil) {
      return switch (this) {
        case PREGNANCY -> oil.pregnancy();
        case CHILD_2_6 -> oil.child2To6();
        case CHILD_6_12 -> oil.child6To12();
        case FACE, BODY, SMALL_AREA, UNDER_2 -> OptionalDouble.empty();
      };
    }

    double ceiling(EssentialOil oil) {
      return Math.min(ceilingPercent, Math.min(oil.ceiling().orElse(100), own(oil).orElse(100)));
    }
  }

  /**
   * So many drops of an oil.
   *
   * @param count above 0
   */
  public record Count(EssentialOil oil, double count) {}

  /** One oil against its ceiling. */
  public record Each(EssentialOil oil, double percent, double ceilingPercent, boolean ok) {}

  /**
   * Reckons the drops.
   *
   * @param drops at least one oil
   * @param volumeMl volume of the whole, ml, above 0
   * @param dropMl volume of a drop, ml, 0.01–0.2
   * @throws velvetcrock.core.Refused at {@code drops}, {@code drops[i].count}, {@code volumeMl} or
   *     {@code dropMl}
   */
  public static Drops of(List<Count> drops, double volumeMl, double dropMl, Where where) {
    Problems problems = new Problems();
    problems.require(!drops.isEmpty(), "drops", "Name at least one oil.");
    for (int i = 0; i < drops.size(); i++) {
      double count = drops.get(i).count();
      problems.require(
          count >= LEAST && count <= 100_000,
          "drops[" + i + "].count",
          () -> "Drops are counted from above 0 to 100 000; " + count + " was read.");
    }
    problems.require(
        volumeMl >= 0.1 && volumeMl <= 100_000, "volumeMl", "Above 0 and at most 100 l.");
    problems.require(dropMl >= 0.01 && dropMl <= 0.2, "dropMl", "Between 0.01 and 0.2 ml.");
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    List<Each> each = new ArrayList<>();
    double factor = Double.POSITIVE_INFINITY;
    double sun = 0;
    double count = 0;
    double percent = 0;
    for (Count drop : drops) {
      double own =
          lines.line(
              drop.oil().name(),
              plain(drop.count())
                  + " drops × "
                  + plain(dropMl)
                  + " ml ÷ "
                  + plain(volumeMl)
                  + " ml",
              100 * drop.count() * dropMl / volumeMl,
              "%",
              Standing.TYPICAL);
      double ceiling = where.ceiling(drop.oil());
      each.add(new Each(drop.oil(), own, ceiling, own <= ceiling + TOLERANCE));
      factor = Math.min(factor, ceiling / own);
      if (drop.oil().sun()) {
        sun += own / drop.oil().ceiling().orElse(100);
      }
      count += drop.count();
      percent += own;
    }
    lines.line("Together", "the sum", percent, "%", Standing.TYPICAL);
    if (sun > 0) {
      lines.line(
          "Sun-sensitising together",
          "each percent ÷ its ceiling; at most 1",
          sun,
          "",
          Standing.TYPICAL);
      factor = Math.min(factor, 1 / sun);
    }
    factor = Math.min(factor, where.ceilingPercent / percent);
    boolean ok = factor >= 1 - TOLERANCE;
    int most = (int) Math.floor(count * factor + TOLERANCE);
    lines.line(
        "At most",
        "drops in these proportions that pass every ceiling",
        most,
        "drops",
        Standing.TYPICAL);
    return new Drops(percent, where.ceilingPercent, ok, List.copyOf(each), sun, most, lines.done());
  }
}
