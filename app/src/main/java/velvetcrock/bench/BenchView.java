package velvetcrock.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Reckoning;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.Charge.Levels;
import velvetcrock.core.charge.Charge.WayOut;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.web.Formats;
import velvetcrock.web.JarDrawing;

/**
 * What the bench shows of a plan, ready to be set down.
 *
 * @param headline the answer in a line
 * @param covered whether all is well with it
 * @param marks levels named beside the jar
 * @param facts figures that matter
 */
record BenchView(
    String headline,
    String underline,
    boolean covered,
    JarDrawing jar,
    String scale,
    List<Mark> marks,
    List<Fact> facts,
    List<Way> ways,
    List<Caution> cautions,
    Reckoning reckoning,
    boolean chargeable) {

  private static final double PX_PER_MM = 2.1;
  private static final double TALLEST_PX = 260;

  /** A level beside the jar: how far from the drawing's top, in hundredths of its height. */
  record Mark(String name, String note, int atPercent, String side) {}

  /** A figure with its name. */
  record Fact(String name, String value, @Nullable String note) {}

  /** A way out; pressing it makes the change. */
  record Way(String name, String note, String result, String set) {}

  static BenchView of(Plan plan, Formats fmt) {
    Charge charge = plan.charge();
    Levels levels = charge.levels().orElseThrow();
    boolean well = charge.covers() && levels.fits();
    return new BenchView(
        headline(plan, levels, fmt),
        underline(plan, fmt),
        well,
        drawing(plan, levels, fmt),
        "Drawn to scale: holds "
            + fmt.ml(plan.jar().brimMl())
            + " to the brim, "
            + fmt.mm(plan.jar().innerDiameterMm())
            + " wide inside",
        marks(charge, levels, fmt),
        facts(plan, fmt),
        ways(plan, fmt),
        plan.cautions(),
        charge.reckoning(),
        !plan.stopped());
  }

  private static String headline(Plan plan, Levels levels, Formats fmt) {
    Charge charge = plan.charge();
    if (!charge.covers()) {
      return "The oil will not cover the herb";
    }
    if (!levels.fits()) {
      return "It does not fit under the fill line";
    }
    return fmt.volume(charge.oilMl()) + " of oil covers it";
  }

  private static String underline(Plan plan, Formats fmt) {
    Charge charge = plan.charge();
    String jars = plan.jarCount() == 1 ? "" : "In each of " + plan.jarCount() + " jars: ";
    if (!charge.covers()) {
      return jars
          + "Short by "
          + fmt.ml(charge.shortMl())
          + " once the herb has swollen. Ways out:";
    }
    String ratio =
        fmt.ratio(charge.oilPerHerb()) + " herb to oil, " + fmt.g(charge.oilMassG()) + " by weight";
    return jars + ratio + (plan.ratioChosen() ? "" : ", the least that covers") + ".";
  }

  private static JarDrawing drawing(Plan plan, Levels levels, Formats fmt) {
    Herb herb = plan.order().herbs().get(0).herb();
    Part part = plan.order().herbs().get(0).part();
    Carrier carrier = plan.order().carriers().shares().get(0).carrier();
    double scale = Math.min(PX_PER_MM, TALLEST_PX / (levels.brimMm() + 20));
    String words =
        plan.jar().name()
            + " with "
            + fmt.g(plan.herbG())
            + " of "
            + herb.name()
            + " up to "
            + fmt.mm(levels.bedMm())
            + " and oil up to "
            + fmt.mm(levels.oilMm())
            + " of "
            + fmt.mm(levels.brimMm());
    return JarDrawing.of(
        new JarDrawing.Of(
            "bench",
            levels.bedMm(),
            levels.oilMm(),
            levels.brimMm(),
            plan.jar().innerDiameterMm(),
            false,
            true,
            part == Part.ROOT || part == Part.SEED || part == Part.RESIN,
            carrier.tint(),
            herb.fleck(),
            words),
        scale);
  }

  private static List<Mark> marks(Charge charge, Levels levels, Formats fmt) {
    List<Mark> marks = new ArrayList<>();
    double frame = levels.brimMm() + 19.2;
    boolean over = levels.bedMm() > levels.oilMm();
    int bedAt = percent((16 + levels.brimMm() - Math.min(levels.bedMm(), levels.brimMm())) / frame);
    int oilAt = percent((16 + levels.brimMm() - Math.min(levels.oilMm(), levels.brimMm())) / frame);
    if (Math.abs(bedAt - oilAt) < 14) {
      int middle = (bedAt + oilAt) / 2;
      bedAt = over ? middle - 7 : middle + 7;
      oilAt = over ? middle + 7 : middle - 7;
    }
    marks.add(
        new Mark(
            fmt.ml(charge.oilMl()) + " of oil",
            over ? "reaches only this high" : fmt.mm(levels.coverMm()) + " above the herb",
            oilAt,
            over ? "short" : "well"));
    marks.add(new Mark(fmt.ml(charge.bedMl()) + " bed", "herb, swollen in two days", bedAt, "bed"));
    return marks;
  }

  private static int percent(double share) {
    return (int) Math.round(100 * Math.max(0.02, Math.min(0.98, share)));
  }

  private static List<Fact> facts(Plan plan, Formats fmt) {
    Charge charge = plan.charge();
    LocalDate today = fmt.today();
    var method = plan.place().method();
    List<Fact> facts = new ArrayList<>();
    facts.add(
        new Fact(
            "Herb",
            fmt.g(plan.herbG().middle()),
            plan.herbG().exact() ? null : fmt.g(plan.herbG()) + ", by how it is packed"));
    facts.add(new Fact("Oil", fmt.volume(charge.oilMl()), fmt.g(charge.oilMassG())));
    facts.add(
        new Fact("Top up, days 1–3", "about " + fmt.ml(charge.topUpMl()), "as the herb swells"));
    facts.add(
        new Fact(
            "Strength",
            fmt.number(charge.strengthAgainstOneToFive(plan.order().herbs()), 2),
            "1 is a dried 1 : 5"));
    facts.add(
        new Fact(
            "Comes out",
            "about " + fmt.ml(plan.yield().yieldMl()),
            fmt.ml(plan.yield().rangeMl()) + ", squeezed by hand"));
    facts.add(
        new Fact(
            "Strain",
            fmt.dates(today.plusDays(method.earliestDays()), today.plusDays(method.latestDays())),
            "usually " + fmt.date(today.plusDays(method.usualDays()))));
    return facts;
  }

  private static List<Way> ways(Plan plan, Formats fmt) {
    List<Way> ways = new ArrayList<>();
    for (WayOut way : plan.charge().waysOut()) {
      if (way instanceof WayOut.FinerCut finer) {
        ways.add(
            new Way(
                finer.cut().name().equals("POWDER")
                    ? "Powder it"
                    : finer.cut().name().equals("GROUND") ? "Grind it" : "Cut it",
                "the bed sinks to " + fmt.ml(finer.bedMl()),
                "Covers at " + fmt.ratio(up(finer.oilPerHerb())),
                "cut=" + finer.cut().name()));
      } else if (way instanceof WayOut.MoreOil more) {
        ways.add(
            new Way(
                "More oil",
                fmt.ml(more.oilMl()) + " in all, a weaker oil",
                "Covers at " + fmt.ratio(up(more.oilPerHerb())),
                "ratio="));
      } else if (way instanceof WayOut.LessHerb less) {
        ways.add(
            new Way(
                "Less herb",
                fmt.g(floor(less.herbMassG())) + " for the same oil",
                "Covers at " + fmt.ratio(up(less.oilPerHerb())),
                "amount=" + fmt.number(floor(less.herbMassG()), 1) + " g"));
      } else if (way instanceof WayOut.NarrowerJar narrower) {
        plan.narrower()
            .ifPresent(
                jar ->
                    ways.add(
                        new Way(
                            "Narrower jar",
                            jar.name() + ", " + fmt.mm(jar.innerDiameterMm()) + " wide",
                            "Up to " + fmt.mm(narrower.innerDiameterMm()) + " covers",
                            "jar=" + jar.key())));
      }
    }
    plan.oneToFive()
        .ifPresent(
            cut ->
                ways.add(
                    new Way(
                        "Stronger: " + cut.name().toLowerCase(Locale.ROOT),
                        "in this cut 1 : 5 covers",
                        fmt.ml(plan.charge().herbMassG() * 5) + " of oil",
                        "cut=" + cut.name())));
    return ways;
  }

  private static double up(double ratio) {
    return Math.ceil(ratio * 10) / 10;
  }

  private static double floor(double grams) {
    return grams < 10 ? Math.floor(grams * 10) / 10 : Math.floor(grams);
  }
}
