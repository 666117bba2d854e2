package velvetcrock.core.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
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
 * @param eachG the same, herb by herb in the order given
 * @param oilMl oil, ml; the least where the herb is packed tightest
 */
public record ByEye(Range herbMassG, List<Range> eachG, Range oilMl, Reckoning reckoning) {

  /**
   * What the herb is.
   *
   * @param parts its part of the layer by volume, above 0
   */
  public record Filling(Herb herb, Part part, Cut cut, HerbState state, double parts) {
    /** The only herb. */
    public Filling(Herb herb, Part part, Cut cut, HerbState state) {
      this(herb, part, cut, state, 1);
    }
  }

  /** How tightly the herb was put in. */
  public enum Packing {
    /** Nobody said. */
    UNSAID,
    /** Poured in. */
    LOOSE,
    /** Pressed down. */
    PACKED;

    private Range of(Range density) {
      return switch (this) {
        case UNSAID -> density;
        case LOOSE -> new Range(density.low(), density.middle());
        case PACKED -> new Range(density.middle(), density.high());
      };
    }
  }

  /**
   * From two depths.
   *
   * @param herbMm depth of the loose herb before the oil, mm, above 0
   * @param aboveMm depth of oil above it, mm, not negative; both together no higher than the brim
   * @throws velvetcrock.core.Refused at {@code herbMm} or {@code aboveMm}
   */
  public static ByEye ofLayers(
      Jar jar,
      List<Filling> fillings,
      Packing packing,
      double herbMm,
      double aboveMm,
      Catalogue catalogue) {
    Problems problems = new Problems();
    problems.require(
        herbMm > 0 && herbMm <= jar.brimMm(),
        "herbMm",
        () ->
            "The herb stands above 0 and at most to the brim, "
                + Math.round(jar.brimMm())
                + " mm.");
    problems.require(
        aboveMm >= 0 && herbMm + aboveMm <= jar.brimMm() + 1e-9,
        "aboveMm",
        () ->
            "Herb and oil together stand no higher than the brim, "
                + Math.round(jar.brimMm())
                + " mm.");
    problems.require(!fillings.isEmpty(), "herbs", "Name at least one herb.");
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double bedMl =
        lines.line(
            "Herb’s layer", "its depth in the jar", jar.volumeMl(herbMm), "ml", Standing.MEASURED);
    double parts = fillings.stream().mapToDouble(Filling::parts).sum();
    List<Range> each = new ArrayList<>();
    for (Filling f : fillings) {
      Range loose = packing.of(catalogue.looseRange(f.herb(), f.part(), f.cut(), f.state()));
      each.add(
          lines.line(
              f.herb().name(),
              "its part of the layer × loose density",
              loose.times(bedMl * f.parts() / parts),
              "g",
              Standing.ESTIMATE));
    }
    double aboveMl = jar.volumeMl(aboveMm);
    Range oil =
        lines.line(
            "Oil",
            "fills the gaps and stands above",
            Range.between(
                oilMl(fillings, each, Range::high, bedMl) + aboveMl,
                oilMl(fillings, each, Range::low, bedMl) + aboveMl),
            "ml",
            Standing.ESTIMATE);
    Range all = each.stream().reduce(Range.exactly(0), Range::plus);
    return new ByEye(all, List.copyOf(each), oil, lines.done());
  }

  /**
   * From shares of the jar.
   *
   * @param herbShare how full of herb, 0–1 of the brim
   * @param fillShare how full in all once the oil is in, 0–1 of the brim
   * @throws velvetcrock.core.Refused at {@code herbMm} or {@code aboveMm}
   */
  public static ByEye ofShares(
      Jar jar,
      List<Filling> fillings,
      Packing packing,
      double herbShare,
      double fillShare,
      Catalogue catalogue) {
    double brimMm = jar.brimMm();
    return ofLayers(
        jar, fillings, packing, herbShare * brimMm, (fillShare - herbShare) * brimMm, catalogue);
  }

  /** Oil in the gaps of a layer at one end of what the herbs may weigh. */
  private static double oilMl(
      List<Filling> fillings, List<Range> each, ToDoubleFunction<Range> end, double bedMl) {
    double solids = 0;
    for (int i = 0; i < fillings.size(); i++) {
      Filling f = fillings.get(i);
      double grams = end.applyAsDouble(each.get(i));
      solids += HerbPortion.usual(f.herb(), f.part(), f.cut(), f.state(), grams).solidsMl();
    }
    return Math.max(0, bedMl - solids);
  }
}
