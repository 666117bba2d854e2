package velvetcrock.core.yield;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;

/**
 * Where every gram went: unaccounted = in − out − driven off − what stays behind by estimate where
 * it was not weighed. It closes while the gap is no more than 5 g or 3 % of what went in, and what
 * the estimate may be off.
 *
 * @param inG everything weighed in, g
 * @param outG everything weighed out, g
 * @param unaccountedG what is missing, g; below 0 where more came out than went in
 * @param closes whether the gap is within what scales and spoons lose
 * @param estimated what stays behind and was not weighed, as far as something is missing
 * @param causes likely causes of a gap, likeliest first; empty when it closes
 */
public record Balance(
    double inG,
    double outG,
    double unaccountedG,
    boolean closes,
    Expected estimated,
    List<String> causes,
    Reckoning reckoning) {

  private static final String MARC = "marc";
  private static final String FILM = "film";

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
   * Balances what was weighed, where nothing is known of what the marc keeps.
   *
   * @throws velvetcrock.core.Refused as {@link #of(List, List, double, Expected)}
   */
  public static Balance of(List<Weighed> in, List<Weighed> out, double drivenOffG) {
    return of(in, out, drivenOffG, Expected.NOTHING);
  }

  /**
   * What stays behind where nobody weighed it.
   *
   * @param marcG marc with the oil that it keeps, g; 0 where nothing is known of it
   * @param filmG film on vessels and filter, g; 0 where nothing is known of it
   * @param withinG how far both together may be off, g
   */
  public record Expected(double marcG, double filmG, double withinG) {
    /** Nothing is known. */
    public static final Expected NOTHING = new Expected(0, 0, 0);

    /** Both together, g. */
    public double totalG() {
      return marcG + filmG;
    }

    /** What of it was not weighed, and no more of it than is missing. */
    private Expected missing(List<Weighed> out, double missingG) {
      double marc = named(out, MARC) ? 0 : marcG;
      double film = named(out, FILM) ? 0 : filmG;
      double part = marc + film <= 0 ? 0 : Math.max(0, Math.min(1, missingG / (marc + film)));
      return new Expected(marc * part, film * part, marc > 0 ? withinG : 0);
    }
  }

  /**
   * Balances.
   *
   * @param in at least one
   * @param out what was weighed afterwards; film counts where it is listed
   * @param drivenOffG water and spirit seen to leave by weighing, g, not negative
   * @param expected what stays behind where it was not weighed
   * @throws velvetcrock.core.Refused at {@code in}, {@code in[i].massG}, {@code out[i].massG} or
   *     {@code drivenOffG}; so too where what stays behind weighs more than all that went in
   */
  public static Balance of(
      List<Weighed> in, List<Weighed> out, double drivenOffG, Expected expected) {
    Problems problems = new Problems();
    problems.require(!in.isEmpty(), "in", "Something went in.");
    check(problems, "in", in);
    check(problems, "out", out);
    problems.require(drivenOffG >= 0 && drivenOffG <= HEAVIEST_G, "drivenOffG", "Not below 0.");
    problems.refuseIfAny();
    bounded(problems, in, out, drivenOffG);
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    in.forEach(w -> lines.line(w.what(), "in", w.massG(), "g", Standing.MEASURED));
    out.forEach(w -> lines.line(w.what(), "out", w.massG(), "g", Standing.MEASURED));
    double inG = in.stream().mapToDouble(Weighed::massG).sum();
    double outG = out.stream().mapToDouble(Weighed::massG).sum();
    Expected estimated = expected.missing(out, inG - outG - drivenOffG);
    String behind =
        estimated.totalG() == 0
            ? ""
            : " − " + plain(estimated.totalG()) + " g left behind by estimate";
    double gap =
        lines.line(
            "Unaccounted",
            plain(inG) + " − " + plain(outG) + " − " + plain(drivenOffG) + " g driven off" + behind,
            inG - outG - drivenOffG - estimated.totalG(),
            "g",
            Standing.STANDARD);
    double allowed =
        lines.line(
            "May be missing",
            "the larger of 5 g and 3 % of what went in"
                + (estimated.withinG() > 0 ? ", and what the estimate may be off" : ""),
            Math.max(LEAST_GAP_G, GAP_SHARE * inG) + estimated.withinG(),
            "g",
            Standing.TYPICAL);
    boolean closes = Math.abs(gap) <= allowed;
    return new Balance(
        inG,
        outG,
        gap,
        closes,
        estimated,
        closes ? List.of() : causes(gap, in, out, drivenOffG, estimated),
        lines.done());
  }

  private static List<String> causes(
      double gap, List<Weighed> in, List<Weighed> out, double drivenOffG, Expected estimated) {
    List<String> causes = new ArrayList<>();
    if (gap > 0) {
      boolean unknown = !named(out, MARC) && estimated.marcG == 0;
      if (unknown) {
        causes.add("The spent herb (marc) was not weighed: it keeps oil.");
      } else if (!named(out, MARC)) {
        causes.add(
            "The spent herb kept more than the "
                + Math.round(estimated.marcG)
                + " g that such herb usually does: weigh it to be sure.");
      }
      if (drivenOffG == 0 && (named(in, "spirit") || named(in, "fresh") || named(in, "wilted"))) {
        causes.add("Water or spirit left on the heat without being weighed.");
      }
      if (!named(out, FILM) && estimated.filmG == 0) {
        causes.add("Film on vessels, cloth and filter was not weighed.");
      }
      if (!named(out, "sediment") && !named(out, "water")) {
        causes.add("Sediment or a water layer was poured away.");
      }
      if (!unknown) {
        causes.add("Something was spilled, or a weighing has a slip in it.");
      }
    } else {
      causes.add("A vessel was weighed along with what was in it.");
      causes.add("A top-up or another addition was not written down.");
      causes.add("Water came in: condensation, or drips from the bath.");
    }
    return causes;
  }

  /** What stays behind or leaves cannot weigh more than all that went in. */
  private static void bounded(
      Problems problems, List<Weighed> in, List<Weighed> out, double drivenOffG) {
    double inG = in.stream().mapToDouble(Weighed::massG).sum();
    double most = inG + Math.max(LEAST_GAP_G, GAP_SHARE * inG);
    problems.require(
        drivenOffG <= most,
        "drivenOffG",
        () -> plain(drivenOffG) + " g cannot leave of " + plain(inG) + " g that went in.");
    double behindG = 0;
    for (int i = 0; i < out.size(); i++) {
      String what = out.get(i).what().toLowerCase(Locale.ROOT);
      if (Stream.of(MARC, FILM, "sediment").anyMatch(what::contains)) {
        behindG += out.get(i).massG();
        problems.require(
            behindG <= most,
            "out[" + i + "].massG",
            () ->
                "What stays behind cannot weigh more than the " + plain(inG) + " g that went in.");
      }
    }
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
          () -> "A weight is not below 0 and at most a tonne; " + massG + " g was read.");
    }
  }
}
