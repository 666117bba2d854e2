package velvetcrock.core.yield;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;

/**
 * Where every gram went: unaccounted = in − out − driven off. It closes while the gap is no more
 * than 5 g or 3 % of what went in.
 *
 * @param inG everything weighed in, g
 * @param outG everything weighed out, g
 * @param unaccountedG what is missing, g; below 0 where more came out than went in
 * @param closes whether the gap is within what scales and spoons lose
 * @param causes likely causes of a gap, likeliest first; empty when it closes
 */
public record Balance(
    double inG,
    double outG,
    double unaccountedG,
    boolean closes,
    List<String> causes,
    Reckoning reckoning) {

  private static final double LEAST_GAP_G = 5;
  private static final double GAP_SHARE = 0.03;
  private static final double HEAVIEST_G = 1_000_000;

  /**
   * A thing weighed.
   *
   * @param what what it is
   * @param massG g, not negative
   */
  public record Weighed(String what, double massG) {}

  /**
   * Balances.
   *
   * @param in at least one
   * @param out what was weighed afterwards; film counts where it is listed
   * @param drivenOffG water and spirit seen to leave by weighing, g, not negative
   * @throws velvetcrock.core.Refused at {@code in}, {@code in[i].massG}, {@code out[i].massG} or
   *     {@code drivenOffG}
   */
  public static Balance of(List<Weighed> in, List<Weighed> out, double drivenOffG) {
    Problems problems = new Problems();
    problems.require(!in.isEmpty(), "in", "Something went in.");
    check(problems, "in", in);
    check(problems, "out", out);
    problems.require(drivenOffG >= 0 && drivenOffG <= HEAVIEST_G, "drivenOffG", "Not below 0.");
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    in.forEach(w -> lines.line(w.what(), "in", w.massG(), "g", Standing.MEASURED));
    out.forEach(w -> lines.line(w.what(), "out", w.massG(), "g", Standing.MEASURED));
    double inG = in.stream().mapToDouble(Weighed::massG).sum();
    double outG = out.stream().mapToDouble(Weighed::massG).sum();
    double gap =
        lines.line(
            "Unaccounted",
            plain(inG) + " − " + plain(outG) + " − " + plain(drivenOffG) + " g driven off",
            inG - outG - drivenOffG,
            "g",
            Standing.STANDARD);
    double allowed =
        lines.line(
            "May be missing",
            "the larger of 5 g and 3 % of what went in",
            Math.max(LEAST_GAP_G, GAP_SHARE * inG),
            "g",
            Standing.TYPICAL);
    boolean closes = Math.abs(gap) <= allowed;
    return new Balance(
        inG,
        outG,
        gap,
        closes,
        closes ? List.of() : causes(gap, in, out, drivenOffG),
        lines.done());
  }

  private static List<String> causes(
      double gap, List<Weighed> in, List<Weighed> out, double drivenOffG) {
    List<String> causes = new ArrayList<>();
    if (gap > 0) {
      if (!named(out, "marc")) {
        causes.add("The marc was not weighed: it keeps oil.");
      }
      if (drivenOffG == 0 && (named(in, "spirit") || named(in, "fresh") || named(in, "wilted"))) {
        causes.add("Water or spirit left on the heat without being weighed.");
      }
      if (!named(out, "film")) {
        causes.add("Film on vessels, cloth and filter was not weighed.");
      }
      if (!named(out, "sediment") && !named(out, "water")) {
        causes.add("Sediment or a water layer was poured away.");
      }
      causes.add("Something was spilled, or a weighing has a slip in it.");
    } else {
      causes.add("A vessel was weighed along with what was in it.");
      causes.add("A top-up or another addition was not written down.");
      causes.add("Water came in: condensation, or drips from the bath.");
    }
    return causes;
  }

  private static boolean named(List<Weighed> things, String word) {
    return things.stream().anyMatch(w -> w.what().toLowerCase(Locale.ROOT).contains(word));
  }

  private static void check(Problems problems, String list, List<Weighed> things) {
    for (int i = 0; i < things.size(); i++) {
      double massG = things.get(i).massG();
      problems.require(
          massG >= 0 && massG <= HEAVIEST_G,
          list + "[" + i + "].massG",
          "A weight is not below 0 and at most a tonne; " + massG + " g was read.");
    }
  }
}
