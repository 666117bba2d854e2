package velvetcrock.core.pot;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;

/**
 * Parts weighed out together, with what they come to: H = Σ mᵢ·hᵢ ÷ M and V = Σ mᵢ ÷ ρᵢ.
 *
 * @param parts in the order in which they were named
 */
public record Melt(List<Ingredient> parts) {
  private static final double CLOSE = 1e-9;
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
    double mass = 0;
    double weighted = 0;
    double volume = 0;
    for (int i = 0; i < wanted.size(); i++) {
      Ingredient part = wanted.get(i).part();
      if (wanted.get(i).open()) {
        open.add(i);
      } else {
        mass += part.massG();
        weighted += part.massG() * part.hardness();
        volume += part.massG() / part.density();
      }
    }
    double[] found = new double[open.size()];
    if (open.size() == 1) {
      Ingredient x = wanted.get(open.get(0)).part();
      if (target.isPresent()) {
        if (mass == 0) {
          throw new Refused(at(open.get(0)), "Say how much of something else there is.");
        }
        double aim = target.getAsDouble();
        found[0] = byHardness(x, aim, mass, weighted, at(open.get(0)));
      } else {
        found[0] =
            (volumeMl.orElseThrow(() -> new Refused(at(open.get(0)), "Say how much of it."))
                    - volume)
                * x.density();
      }
    } else if (open.size() == 2 && target.isPresent() && volumeMl.isPresent()) {
      Ingredient x = wanted.get(open.get(0)).part();
      Ingredient y = wanted.get(open.get(1)).part();
      double aim = target.getAsDouble();
      double a = x.hardness() - aim;
      double b = y.hardness() - aim;
      double c = aim * mass - weighted;
      double left = volumeMl.getAsDouble() - volume;
      double determinant = a / y.density() - b / x.density();
      if (Math.abs(determinant) < CLOSE) {
        throw new Refused(at(open.get(1)), "These two are equally hard: say how much of one.");
      }
      found[0] = (c / y.density() - b * left) / determinant;
      found[1] = (a * left - c / x.density()) / determinant;
    } else if (!open.isEmpty()) {
      throw new Refused(
          at(open.get(open.size() - 1)),
          "Too much is left open: say how much, or how many tins are wanted.");
    }
    List<Ingredient> parts = new ArrayList<>();
    int next = 0;
    for (int i = 0; i < wanted.size(); i++) {
      Ingredient part = wanted.get(i).part();
      if (wanted.get(i).open()) {
        double grams = found[next++];
        if (!(grams > 0.0005)) {
          throw new Refused(
              at(i),
              "None of it can be in there: without it the mix is already "
                  + (target.isPresent() && part.hardness() > target.getAsDouble()
                      ? "as hard as wanted, or harder."
                      : "as soft or as much as wanted."));
        }
        if (grams > MOST_G) {
          throw new Refused(at(i), "It would take more than 100 kg: these cannot reach it.");
        }
        part = part.withMassG(grams);
      }
      parts.add(part);
    }
    return new Melt(parts);
  }

  private static double byHardness(
      Ingredient x, double aim, double mass, double weighted, String field) {
    double per = x.hardness() - aim;
    if (Math.abs(per) < CLOSE) {
      throw new Refused(field, "It is itself as hard as wanted, so that no amount changes it.");
    }
    return (aim * mass - weighted) / per;
  }

  private static String at(int index) {
    return "parts[" + index + "].amount";
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
