package velvetcrock.core.making;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;
import velvetcrock.core.keeping.AntioxidantDose;
import velvetcrock.core.keeping.Store;

/**
 * Parts weighed out together, with what they come to: H = Σ mᵢ·hᵢ ÷ M and V = Σ mᵢ ÷ ρᵢ.
 *
 * @param parts in the order in which they were named
 */
public record Melt(List<Ingredient> parts) {
  /** Hardness of beeswax alone (SCIENCE 11). */
  private static final double BEESWAX = 100;

  private static final double SOFT_AS_OIL = 0.5;

  private static final double CLOSE = 1e-9;
  private static final double LEAST_G = 0.0005;
  private static final double MOST_G = 100_000;

  /**
   * Copies the parts.
   *
   * @throws Refused at {@code parts} if there are none
   */
  public Melt {
    if (parts.isEmpty()) {
      throw new Refused("parts", "Name at least one part.");
    }
    parts = List.copyOf(parts);
  }

  /**
   * A part of a melt still to be weighed out.
   *
   * @param part the part; of an open one the weight does not count
   * @param open whether its weight is to be found
   */
  public record Wanted(Ingredient part, boolean open) {}

  /**
   * Finds what is open. One open part is as much as brings the hardness to its target, x = (H_t·M −
   * S) ÷ (h − H_t) with S = Σ m·h; with a volume as well, two open parts solve both at once, and
   * one open part fills the volume where there is no hardness to be met.
   *
   * @param target the hardness, shifted for where it is used; empty where none is wanted
   * @param volumeMl what is to be filled, with what stays in the pan, ml; empty for whatever comes
   * @throws Refused at {@code parts[i].amount} of the open part that cannot be, or {@code parts}
   */
  public static Melt solve(List<Wanted> wanted, OptionalDouble target, OptionalDouble volumeMl) {
    List<Integer> open = new ArrayList<>();
    Weighed known = new Weighed(0, 0, 0);
    for (int i = 0; i < wanted.size(); i++) {
      if (wanted.get(i).open()) {
        open.add(i);
      } else {
        known = known.with(wanted.get(i).part());
      }
    }
    List<Ingredient> parts = new ArrayList<>(wanted.stream().map(Wanted::part).toList());
    double[] found = found(parts, open, known, target, volumeMl);
    for (int n = 0; n < found.length; n++) {
      int i = open.get(n);
      parts.set(i, weighed(parts.get(i), found[n], target, at(i)));
    }
    return new Melt(parts);
  }

  /** What is weighed already: Σ m, Σ m·h and Σ m ÷ ρ. */
  private record Weighed(double massG, double weighted, double volumeMl) {
    Weighed with(Ingredient part) {
      return new Weighed(
          massG + part.massG(),
          weighted + part.massG() * part.hardness(),
          volumeMl + part.massG() / part.density());
    }
  }

  private static double[] found(
      List<Ingredient> parts,
      List<Integer> open,
      Weighed known,
      OptionalDouble target,
      OptionalDouble volumeMl) {
    if (open.isEmpty()) {
      return new double[0];
    }
    int first = open.get(0);
    int last = open.get(open.size() - 1);
    if (open.size() == 1 && target.isPresent()) {
      return new double[] {byHardness(parts.get(first), target.getAsDouble(), known, at(first))};
    }
    if (open.size() == 1) {
      double left =
          volumeMl.orElseThrow(() -> new Refused(at(first), "Say how much of it."))
              - known.volumeMl();
      return new double[] {left * parts.get(first).density()};
    }
    if (open.size() == 2 && target.isPresent() && volumeMl.isPresent()) {
      return byBoth(
          parts.get(first),
          parts.get(last),
          target.getAsDouble(),
          volumeMl.getAsDouble(),
          known,
          at(last));
    }
    throw new Refused(
        at(last), "Too much is left open: say how much, or how many tins are wanted.");
  }

  private static double byHardness(Ingredient x, double aim, Weighed known, String field) {
    if (known.massG() == 0) {
      throw new Refused(field, "Say how much of something else there is.");
    }
    double per = x.hardness() - aim;
    if (Math.abs(per) < CLOSE) {
      throw new Refused(field, "It is itself as hard as wanted, so that no amount changes it.");
    }
    return (aim * known.massG() - known.weighted()) / per;
  }

  /** Two by Cramer's rule: one equation for the hardness, one for the volume. */
  private static double[] byBoth(
      Ingredient x, Ingredient y, double aim, double volumeMl, Weighed known, String field) {
    double a = x.hardness() - aim;
    double b = y.hardness() - aim;
    double c = aim * known.massG() - known.weighted();
    double left = volumeMl - known.volumeMl();
    double determinant = a / y.density() - b / x.density();
    if (Math.abs(determinant) < CLOSE) {
      throw new Refused(field, "These two are equally hard: say how much of one.");
    }
    return new double[] {
      (c / y.density() - b * left) / determinant, (a * left - c / x.density()) / determinant
    };
  }

  private static Ingredient weighed(
      Ingredient part, double grams, OptionalDouble target, String field) {
    if (!(grams > LEAST_G)) {
      boolean hardens = target.isPresent() && part.hardness() > target.getAsDouble();
      throw new Refused(
          field,
          "None of it can be in there: without it the mix is already "
              + (hardens ? "as hard as wanted, or harder." : "as soft or as much as wanted."));
    }
    if (grams > MOST_G) {
      throw new Refused(field, "It would take more than 100 kg: these cannot reach it.");
    }
    return part.withMassG(grams);
  }

  private static String at(int index) {
    return "parts[" + index + "].amount";
  }

  /** What of it can turn rancid: oils and butters, g. */
  public double oilsG() {
    return parts.stream()
        .filter(p -> p.kind() == Ingredient.Kind.OIL || p.kind() == Ingredient.Kind.BUTTER)
        .mapToDouble(Ingredient::massG)
        .sum();
  }

  /** How much vitamin E helps it; empty where there is no oil in it. */
  public Optional<AntioxidantDose> vitaminE() {
    return oilsG() > 0
        ? AntioxidantDose.of(Store.Antioxidant.VITAMIN_E, oilsG())
        : Optional.empty();
  }

  /** Weight, g. */
  public double massG() {
    return parts.stream().mapToDouble(Ingredient::massG).sum();
  }

  /** Hardness at the place of its use. */
  public double hardness() {
    return parts.stream().mapToDouble(p -> p.massG() * p.hardness()).sum() / massG();
  }

  /** Volume, ml. */
  public double volumeMl() {
    return parts.stream().mapToDouble(p -> p.massG() / p.density()).sum();
  }

  /**
   * What it fills, ml: some stays in pan and jug.
   *
   * @param growth by whipping, as a share; 0 for what is not whipped
   */
  public double fillsMl(double growth) {
    return volumeMl() * (1 + growth) * (1 - Formula.POUR_LOSS);
  }

  /** g/ml. */
  public double densityGPerMl() {
    return massG() / volumeMl();
  }

  /** The same in another weight, g. */
  public Melt scaledTo(double grams) {
    double factor = grams / massG();
    return new Melt(parts.stream().map(p -> p.withMassG(p.massG() * factor)).toList());
  }

  /** Each part's share of the weight, in tenths of a percent that add to 100.0. */
  public List<Double> percents() {
    return Percentages.of(parts.stream().map(Ingredient::massG).toList());
  }

  /**
   * Oil and butter to wax as they are weighed in, by weight: n of 1:n.
   *
   * @return empty where there is no wax
   */
  public OptionalDouble oilPerWax() {
    double waxG = ofKind(Ingredient.Kind.WAX);
    double fatG = ofKind(Ingredient.Kind.OIL) + ofKind(Ingredient.Kind.BUTTER);
    return waxG <= 0 ? OptionalDouble.empty() : OptionalDouble.of(fatG / waxG);
  }

  private double ofKind(Ingredient.Kind kind) {
    return parts.stream().filter(p -> p.kind() == kind).mapToDouble(Ingredient::massG).sum();
  }

  /**
   * Plain oil to beeswax that would be as hard, by weight: n of 1:n; what the wax weighed in really
   * is, {@link #oilPerWax()} says.
   *
   * @return empty where it is as soft as plain oil
   */
  public OptionalDouble asHardAsOilPerBeeswax() {
    return hardness() < SOFT_AS_OIL
        ? OptionalDouble.empty()
        : OptionalDouble.of(Formula.oilPerWax(BEESWAX, hardness()));
  }

  /** The wax that there is most of. */
  public Optional<Ingredient> mainWax() {
    return parts.stream()
        .filter(p -> p.kind() == Ingredient.Kind.WAX)
        .max(Comparator.comparingDouble(Ingredient::massG));
  }

  /**
   * The same with one part exchanged for another and the feel kept: a wax for as much of the other
   * as makes it equally hard; anything else for its weight, made up for by the main wax.
   *
   * @throws Refused at {@code instead} if the feel cannot be kept so
   */
  public Melt exchanged(int index, Ingredient other) {
    Ingredient was = parts.get(index);
    double feel = hardness();
    boolean wax = was.kind() == Ingredient.Kind.WAX;
    List<Wanted> wanted = new ArrayList<>();
    int mended = wax ? index : mainWax().map(parts::indexOf).orElse(-1);
    boolean differs = Math.abs(other.hardness() - was.hardness()) > CLOSE;
    if (differs && mended < 0) {
      throw new Refused(
          "instead", "The feel cannot be kept so: there is no wax to make up for it.");
    }
    for (int i = 0; i < parts.size(); i++) {
      Ingredient part = i == index ? other.withMassG(was.massG()) : parts.get(i);
      wanted.add(new Wanted(part, i == mended && differs));
    }
    try {
      return solve(wanted, OptionalDouble.of(feel), OptionalDouble.empty());
    } catch (Refused refused) {
      throw new Refused(
          "instead", "The feel cannot be kept so: " + refused.problems().get(0).message());
    }
  }

  /** How its figures were reckoned. */
  public Reckoning reckoning() {
    Reckoning.Writer lines = Reckoning.writer();
    double mass = massG();
    for (Ingredient part : parts) {
      lines.line(
          "From " + part.key(),
          plain(part.massG()) + " g ÷ " + plain(mass) + " g × " + plain(part.hardness()),
          part.massG() / mass * part.hardness(),
          "hardness",
          Standing.TYPICAL);
    }
    lines.line("Hardness", "the sum", hardness(), "hardness", Standing.TYPICAL);
    lines.line(
        "Volume", "the sum of each weight ÷ its density", volumeMl(), "ml", Standing.TYPICAL);
    return lines.done();
  }
}
