package velvetcrock.core.measure;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;

/**
 * Whether a weight and a volume given for the same thing can both be true: within 12 % for liquids
 * and melted wax, within a factor of 1.6 for loose solids (practice). Where they cannot, it says
 * which slip would explain it; it never chooses.
 *
 * @param agrees whether both can be true
 * @param statedMassG the weight given, g
 * @param impliedMassG what the volume given would weigh, g
 * @param explanations slips that would explain a difference, likeliest first; empty if it agrees
 */
public record CrossCheck(
    boolean agrees,
    Range statedMassG,
    Range impliedMassG,
    List<Explanation> explanations,
    Reckoning reckoning) {

  private static final double LIQUID_TOLERANCE = 0.12;
  private static final double LOOSE_FACTOR = 1.6;
  private static final double PACKING_FACTOR = 2.6;
  private static final double COPIED_TOLERANCE = 0.03;

  /** A slip that happens in kitchens. */
  public enum Slip {
    /** Fluid ounces of a loose solid were written down as ounces. */
    FLUID_OUNCES_FOR_OUNCES,
    /** The number of millilitres was copied into the weight. */
    VOLUME_FOR_WEIGHT,
    /** The cup was packed tight or filled very loosely. */
    PACKING,
    /** Another country's cup or spoon was meant. */
    OTHER_CUP
  }

  /**
   * What would explain the difference.
   *
   * @param text in words, with the figures that would then be true
   */
  public record Explanation(Slip slip, String text) {}

  /**
   * What was weighed.
   *
   * @param usual its usual density, g/ml
   * @param range its density from loosest to tightest, g/ml
   * @param loose whether it is a loose solid, whose packing varies
   */
  public record Substance(double usual, Range range, boolean loose) {}

  /**
   * Compares the two.
   *
   * @param weight what was typed as the weight
   * @param volume what was typed as the volume
   * @throws Refused at {@code weight} or {@code volume} for what cannot be read or is the other
   */
  public static CrossCheck of(String weight, String volume, Kitchen kitchen, Substance substance) {
    Problems problems = new Problems();
    MeasureReader reader = new MeasureReader(kitchen);
    Measure weighed = problems.attempt("weight", () -> reader.read(weight));
    Measure measured = problems.attempt("volume", () -> reader.read(volume));
    problems.require(
        weighed == null || weighed.isWeight(),
        "weight",
        () -> "“" + weight + "” is a volume, no weight.");
    problems.require(
        measured == null || !measured.isWeight(),
        "volume",
        () -> "“" + volume + "” is a weight, no volume.");
    problems.refuseIfAny();
    return of(weighed, measured, kitchen, substance);
  }

  private static CrossCheck of(
      Measure weighed, Measure measured, Kitchen kitchen, Substance substance) {
    Reckoning.Writer lines = Reckoning.writer();
    Range stated = weighed.amount();
    lines.line("Weight given", "“" + weighed.text() + "”", stated, "g", Standing.MEASURED);
    Range ml = substance.loose() ? measured.loose() : measured.amount();
    lines.line("Volume given", "“" + measured.text() + "”", ml, "ml", Standing.MEASURED);
    Range implied =
        lines.line(
            "The volume would weigh",
            "× " + plain(substance.usual()) + " g/ml",
            new Range(ml.low() * substance.range().low(), ml.high() * substance.range().high()),
            "g",
            Standing.TYPICAL);
    boolean agrees = agree(stated, ml, substance);
    return new CrossCheck(
        agrees,
        stated,
        implied,
        agrees ? List.of() : explain(weighed, measured, kitchen, substance),
        lines.done());
  }

  /**
   * Reads an amount that may be given twice, as {@code 60 g = 2 cups} or {@code 2 cups (60 g)}, and
   * checks the one against the other.
   *
   * @return the weight where both are given, else what is given
   * @throws Refused at {@code amount} if it cannot be read, or both cannot be true; with the slips
   *     that would explain it
   */
  public static Measure read(String text, Kitchen kitchen, Substance substance) {
    Problems problems = new Problems();
    Measure read =
        problems.attempt(
            "amount", () -> checked(new MeasureReader(kitchen).read(text), kitchen, substance));
    problems.refuseIfAny();
    return read;
  }

  /**
   * What was read, checked against what was said of it in brackets.
   *
   * @return the weight where both are given, else what is given
   * @throws Refused at {@code amount} where both cannot be true
   */
  public static Measure checked(Measure read, Kitchen kitchen, Substance substance) {
    Measure other = read.check();
    if (other == null || other.kind() == read.kind()) {
      return read;
    }
    boolean weightFirst = read.isWeight();
    CrossCheck check =
        of(weightFirst ? read : other, weightFirst ? other : read, kitchen, substance);
    check.refuseIfApart();
    return weightFirst ? read : other;
  }

  /**
   * Ends where the two cannot both be true.
   *
   * @throws Refused at {@code amount} with what would explain it
   */
  public void refuseIfApart() {
    if (!agrees) {
      String slips = explanations.stream().map(e -> " " + e.text()).collect(Collectors.joining());
      throw new Refused(
          "amount",
          "Weight and volume cannot both be true: that volume weighs about "
              + plain(impliedMassG.low())
              + " to "
              + plain(impliedMassG.high())
              + " g, and "
              + plain(statedMassG.middle())
              + " g was given."
              + slips);
    }
  }

  private static boolean agree(Range statedG, Range ml, Substance substance) {
    double up = substance.loose() ? LOOSE_FACTOR : 1 + LIQUID_TOLERANCE;
    double down = substance.loose() ? 1 / LOOSE_FACTOR : 1 - LIQUID_TOLERANCE;
    return statedG.high() >= ml.low() * substance.usual() * down
        && statedG.low() <= ml.high() * substance.usual() * up;
  }

  private static List<Explanation> explain(
      Measure weighed, Measure measured, Kitchen kitchen, Substance substance) {
    List<Explanation> found = new ArrayList<>();
    double grams = weighed.amount().middle();
    double ml = measured.amount().middle();
    if (substance.loose()) {
      double asFluidMl =
          grams
              / KitchenUnit.OUNCE_WEIGHT.size(kitchen)
              * KitchenUnit.FLUID_OUNCE_VOLUME.size(kitchen);
      if (weighed.text().matches("(?i).*(oz|ounces?)\\.?")
          && near(asFluidMl, ml, LIQUID_TOLERANCE)) {
        found.add(
            new Explanation(
                Slip.FLUID_OUNCES_FOR_OUNCES,
                "Fluid ounces taken for ounces: "
                    + measured.text()
                    + " of it weighs about "
                    + CookWords.ofGrams(ml * substance.usual())
                    + "."));
      }
      if (near(grams, ml, COPIED_TOLERANCE)) {
        found.add(
            new Explanation(
                Slip.VOLUME_FOR_WEIGHT,
                "The millilitres were written down as grams: "
                    + plain(ml)
                    + " ml of it weighs about "
                    + CookWords.ofGrams(ml * substance.usual())
                    + "."));
      }
      double packing = grams / (ml * substance.usual());
      if (packing < PACKING_FACTOR && packing > 1 / PACKING_FACTOR) {
        found.add(
            new Explanation(
                Slip.PACKING,
                packing > 1
                    ? "Pressed in tight, it can weigh that much."
                    : "Barely poured in, it can weigh that little."));
      }
    }
    for (Kitchen other : Kitchen.values()) {
      Range otherMl = new MeasureReader(other).read(measured.text()).amount();
      if (!otherMl.equals(measured.amount()) && agree(weighed.amount(), otherMl, substance)) {
        found.add(
            new Explanation(
                Slip.OTHER_CUP,
                "Read with the measures of another kitchen ("
                    + words(other)
                    + "), the volume is "
                    + plain(otherMl.middle())
                    + " ml and agrees."));
      }
    }
    return List.copyOf(found);
  }

  private static boolean near(double one, double other, double tolerance) {
    return Math.abs(one / other - 1) <= tolerance;
  }

  private static String words(Kitchen kitchen) {
    return switch (kitchen) {
      case US -> "US";
      case METRIC -> "metric";
      case IMPERIAL -> "imperial";
    };
  }
}
