package velvetcrock.core.making;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;
import velvetcrock.core.heat.Cooling;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Wax;

/**
 * A product by hardness H = Σ wᵢ·hᵢ over weight fractions, and what brings it to its target: wax x
 * = M·(H_t − H)/(h_wax − H_t), or oil x = M·(H − H_t)/(H_t − h_oil).
 *
 * @param massG weight with the addition, g
 * @param hardness of the parts as given
 * @param targetHardness what is aimed at
 * @param addition what to add; empty where it is right already
 * @param densityGPerMl of the finished product, g/ml
 * @param volumeMl of the finished product, ml
 * @param meltOrder keys in the order in which they go into the pan: what melts hottest first
 * @param parts all parts with the addition
 */
public record Formula(
    double massG,
    double hardness,
    double targetHardness,
    Optional<Ingredient> addition,
    double densityGPerMl,
    double volumeMl,
    List<String> meltOrder,
    List<Ingredient> parts,
    Reckoning reckoning) {

  /** Share of a melt that stays in pan and jug (practice). */
  public static final double POUR_LOSS = 0.03;

  /** Growth by whipping until a household knows its own (practice). */
  public static final double USUAL_OVERRUN = 0.5;

  /** A melt stirred while it cools ends up softer by so much. */
  public static final double STIRRED_SOFTER = 1.5;

  /** Vitamin E goes in below this, °C. */
  public static final double VITAMIN_E_BELOW_C = 65;

  /** Honey goes in below this, °C. */
  public static final double HONEY_BELOW_C = 40;

  private static final double HARDER_PER_C = 0.3;
  private static final double CLOSE = 0.005;
  private static final double SETTING_SHARE = 0.15;
  private static final double SETS_BELOW_MELTING_C = 13;
  private static final double SOFT_SETS_C = 35;

  /**
   * What is aimed at.
   *
   * @param hardness the hardness wanted at 20 °C
   * @param usedAtC where it will be used, °C: a warmer place asks 0.3 more per degree
   */
  public record Target(double hardness, double usedAtC) {
    /**
     * Checks the figures.
     *
     * @throws Refused at {@code target.hardness} or {@code usedAtC}
     */
    public Target {
      Problems problems = new Problems();
      problems.require(
          hardness >= 1 && hardness <= 90, "target.hardness", "Hardness lies between 1 and 90.");
      problems.require(
          usedAtC >= -10 && usedAtC <= 45, "usedAtC", "It is used between −10 and 45 °C.");
      problems.refuseIfAny();
    }

    /** A kind's middle at 20 °C. */
    public static Target of(Firmness kind, double usedAtC) {
      return new Target(kind.hardness().middle(), usedAtC);
    }

    /** The hardness that a warmer or colder place asks. */
    public double shifted() {
      return hardness + HARDER_PER_C * (usedAtC - 20);
    }
  }

  /**
   * Reckons towards a target.
   *
   * @param wax what hardens it; its weight does not count
   * @throws Refused at {@code parts} if there are none or it is too hard without an oil to soften
   *     it, at {@code with} if the wax is too soft for the target
   */
  public static Formula towards(List<Ingredient> parts, Target target, Ingredient wax) {
    Reckoning.Writer lines = Reckoning.writer();
    double hardness = hardness(parts, lines);
    double shifted =
        lines.line(
            "Target",
            plain(target.hardness()) + " + 0.3 × (" + plain(target.usedAtC()) + " − 20)",
            target.shifted(),
            "hardness",
            Standing.TYPICAL);
    return reckon(parts, hardness, shifted, wax, lines);
  }

  /**
   * Reckons from the last spoon test: the target is what it is now, harder or softer by the words.
   *
   * @param wax what hardens it; its weight does not count
   * @throws Refused as {@link #towards}
   */
  public static Formula afterTest(List<Ingredient> parts, Feel feel, Ingredient wax) {
    return harder(parts, feel.deltaHardness(), wax);
  }

  /**
   * The same for a test that lies between the words.
   *
   * @param delta the hardness that it wants more; below nothing for less
   * @throws Refused as {@link #towards}
   */
  public static Formula harder(List<Ingredient> parts, double delta, Ingredient wax) {
    Reckoning.Writer lines = Reckoning.writer();
    double hardness = hardness(parts, lines);
    double target =
        lines.line(
            "Target",
            "as tested, " + plain(hardness) + ", and " + plain(delta),
            Math.max(1, hardness + delta),
            "hardness",
            Standing.MEASURED);
    return reckon(parts, hardness, target, wax, lines);
  }

  /** Hardness of wax to liquid oil 1:n by weight: h/(1 + n). */
  public static double hardnessOfRatio(double waxHardness, double oilPerWax) {
    return waxHardness / (1 + oilPerWax);
  }

  /** Liquid oil to one part of wax by weight for a hardness: (h − H)/H. */
  public static double oilPerWax(double waxHardness, double hardness) {
    return (waxHardness - hardness) / hardness;
  }

  /**
   * Liquid oil to one part of wax by weight where both were measured by spoon and cup.
   *
   * @param pelletsMl wax pellets, loose, ml
   * @param oilMl oil, ml
   */
  public static double oilPerWaxByVolume(Wax wax, double pelletsMl, Carrier oil, double oilMl) {
    return oilMl * oil.body().density20() / (pelletsMl * wax.pelletDensity());
  }

  /** Weight of a melt that fills so many tins, with what stays in pan and jug, g. */
  public double massForTinsG(int tins, double tinMl) {
    return tins * tinMl * densityGPerMl / (1 - POUR_LOSS);
  }

  /**
   * How many tins it fills.
   *
   * @param tinMl what one holds, ml, above 0
   * @param overrun growth by whipping as a share; 0 for a poured product
   */
  public int tins(double tinMl, double overrun) {
    return (int) Math.floor(volumeMl * (1 + overrun) * (1 - POUR_LOSS) / tinMl + 1e-9);
  }

  /**
   * Where it begins to set, °C: near 50 with 15 % beeswax or more, less with less (an estimate).
   */
  public double setsNearC() {
    return setsNearC(parts, massG);
  }

  /** The same of any parts of a melt. */
  static double setsNearC(List<Ingredient> parts, double massG) {
    return parts.stream()
        .filter(p -> p.kind() == Ingredient.Kind.WAX)
        .mapToDouble(
            p -> {
              double share = Math.min(1, p.massG() / massG / SETTING_SHARE);
              return SOFT_SETS_C + share * (p.meltsC() - SETS_BELOW_MELTING_C - SOFT_SETS_C);
            })
        .max()
        .orElse(parts.stream().mapToDouble(Ingredient::meltsC).max().orElseThrow());
  }

  /** Minutes to pour it, from leaving the heat until it sets in the pan. */
  public Range minutesToPour(double fromC, double roomC) {
    return Cooling.minutes(fromC, setsNearC(), roomC, volumeMl);
  }

  /** The window for essential oils: below 60 °C, for bars 65, and above where it sets, °C. */
  public Range essentialOilsAtC() {
    double below = targetHardness >= Firmness.LOTION_BAR.hardness().low() ? 65 : 60;
    return new Range(Math.min(setsNearC(), below), below);
  }

  private static double hardness(List<Ingredient> parts, Reckoning.Writer lines) {
    if (parts.isEmpty()) {
      throw new Refused("parts", "Name at least one part.");
    }
    double mass = parts.stream().mapToDouble(Ingredient::massG).sum();
    double weighted = 0;
    for (Ingredient part : parts) {
      weighted +=
          lines.line(
              "From " + part.key(),
              plain(part.massG()) + " g ÷ " + plain(mass) + " g × " + plain(part.hardness()),
              part.massG() / mass * part.hardness(),
              "hardness",
              Standing.TYPICAL);
    }
    return lines.line("Hardness", "the sum", weighted, "hardness", Standing.TYPICAL);
  }

  private static Formula reckon(
      List<Ingredient> parts,
      double hardness,
      double target,
      Ingredient wax,
      Reckoning.Writer lines) {
    double mass = parts.stream().mapToDouble(Ingredient::massG).sum();
    Optional<Ingredient> addition = addition(parts, mass, hardness, target, wax);
    List<Ingredient> all = new ArrayList<>(parts);
    addition.ifPresent(
        add -> {
          lines.line(
              "Add " + add.key(),
              add.kind() == Ingredient.Kind.WAX
                  ? "M · (target − H) ÷ (" + plain(add.hardness()) + " − target)"
                  : "M · (H − target) ÷ (target − " + plain(add.hardness()) + ")",
              add.massG(),
              "g",
              Standing.TYPICAL);
          merge(all, add);
        });
    double total = all.stream().mapToDouble(Ingredient::massG).sum();
    double volume =
        lines.line(
            "Volume",
            "the sum of each weight ÷ its density",
            all.stream().mapToDouble(p -> p.massG() / p.density()).sum(),
            "ml",
            Standing.TYPICAL);
    List<String> order =
        all.stream()
            .sorted(Comparator.comparingDouble(Ingredient::meltsC).reversed())
            .map(Ingredient::key)
            .toList();
    return new Formula(
        total,
        hardness,
        target,
        addition,
        total / volume,
        volume,
        order,
        List.copyOf(all),
        lines.done());
  }

  private static Optional<Ingredient> addition(
      List<Ingredient> parts, double mass, double hardness, double target, Ingredient wax) {
    if (Math.abs(target - hardness) < CLOSE) {
      return Optional.empty();
    }
    if (target > hardness) {
      if (wax.hardness() <= target) {
        throw new Refused("with", "This wax is too soft to reach " + plain(target) + ".");
      }
      return Optional.of(wax.withMassG(mass * (target - hardness) / (wax.hardness() - target)));
    }
    Ingredient oil =
        parts.stream()
            .filter(p -> p.kind() == Ingredient.Kind.OIL && p.hardness() < target)
            .findFirst()
            .orElseThrow(
                () ->
                    new Refused("parts", "It is too hard, and there is no oil to soften it with."));
    return Optional.of(oil.withMassG(mass * (hardness - target) / (target - oil.hardness())));
  }

  /** Adds to the part of the same key, or behind all. */
  private static void merge(List<Ingredient> all, Ingredient add) {
    for (int i = 0; i < all.size(); i++) {
      Ingredient part = all.get(i);
      if (part.kind() == add.kind() && part.key().equals(add.key())) {
        all.set(i, part.withMassG(part.massG() + add.massG()));
        return;
      }
    }
    all.add(add);
  }
}
