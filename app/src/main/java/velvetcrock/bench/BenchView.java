package velvetcrock.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.WindowWords;
import velvetcrock.bench.WishReader.Bench;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.Charge.Levels;
import velvetcrock.core.charge.Charge.WayOut;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.jar.Window;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;
import velvetcrock.core.outlook.Comparison;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Strainer;
import velvetcrock.drawer.LotWords;
import velvetcrock.web.Formats;
import velvetcrock.web.JarDrawing;
import velvetcrock.web.PromiseWords;
import velvetcrock.web.SpeedWords;

/**
 * What the bench shows of a plan, ready to be set down.
 *
 * @param answer the answer in two lines
 * @param picture the jar as it would stand
 * @param facts figures that matter
 * @param warnings where the drawer or the kitchen lacks something
 * @param panels what is particular about this way in
 * @param versus the same herb with and without spirit; null where none is asked for
 * @param toBeRead cautions that have to be ticked before charging
 * @param clean what has to be clean and dry
 */
record BenchView(
    Answer answer,
    Picture picture,
    List<Fact> facts,
    List<String> warnings,
    List<Way> ways,
    List<Panel> panels,
    @Nullable Versus versus,
    List<Caution> cautions,
    List<Caution> toBeRead,
    Reckoning reckoning,
    boolean spirit,
    String clean) {

  /**
   * The answer in two lines.
   *
   * @param headline the answer in a line
   * @param covered whether all is well with it
   */
  record Answer(String headline, String underline, boolean covered) {}

  /**
   * The jar as it would stand.
   *
   * @param marks levels named beside the jar
   */
  record Picture(JarDrawing jar, String scale, List<Mark> marks) {}

  private static final double PX_PER_MM = 2.1;
  private static final double TALLEST_PX = 260;
  private static final double WIDEST_PX = 230;
  private static final double ROUNDING = 0.05;

  /** A level beside the jar: how far from the drawing's top, in hundredths of its height. */
  record Mark(String name, String note, int atPercent, String side) {}

  /** A figure with its name. */
  record Fact(String name, String value, @Nullable String note) {}

  /** A way out; pressing it makes the change. */
  record Way(String name, String note, String result, String set, @Nullable String link) {
    Way(String name, String note, String result, String set) {
      this(name, note, result, set, null);
    }
  }

  /**
   * What is particular about a way in.
   *
   * @param ways what can be done about it; those with a link lead to another page
   */
  record Panel(
      String title, String lead, List<Fact> facts, List<Way> ways, @Nullable Reckoning reckoning) {}

  /** The same herb without spirit and with it. */
  record Versus(List<String> ways, List<Row> rows) {
    /** A row: what is compared, and its value on either way. */
    record Row(String name, List<String> values) {}
  }

  /**
   * Shows it.
   *
   * @param chargedOn the day that is said for the charging, from which its window counts
   */
  static BenchView of(
      Reckoned plan, Bench bench, Catalogue catalogue, LocalDate chargedOn, Formats fmt) {
    Charge charge = plan.charge();
    Levels levels = charge.levels().orElseThrow();
    boolean well = charge.covers() && levels.fits();
    return new BenchView(
        new BenchView.Answer(headline(plan, levels, fmt), underline(plan, fmt), well),
        new BenchView.Picture(
            drawing(plan, levels, fmt),
            "Drawn to scale: holds "
                + fmt.ml(plan.jar().brimMl())
                + " to the brim, "
                + fmt.mm(plan.jar().innerDiameterMm())
                + " wide inside",
            marks(charge, levels, fmt)),
        facts(plan, catalogue, chargedOn, fmt),
        warnings(plan, catalogue, fmt),
        ways(plan, fmt),
        new BenchPanels(plan, bench, catalogue, fmt).panels(),
        plan.beside().compared().map(c -> versus(c, fmt)).orElse(null),
        plan.cautions(),
        plan.toBeRead(),
        charge.reckoning(),
        plan.spirit().isPresent(),
        clean(plan));
  }

  private static String clean(Reckoned plan) {
    boolean dried = plan.wish().portions().stream().allMatch(h -> h.state() == HerbState.DRIED);
    return dried
        ? "Jar and herb are clean and bone-dry: leaves crumble, stems snap."
        : "The vessel is clean and bone-dry; the herb is clean, picked over and not dripping.";
  }

  /** Where the drawer holds less than is wanted, and where it takes several vessels. */
  private static List<String> warnings(Reckoned plan, Catalogue catalogue, Formats fmt) {
    List<String> warnings = new ArrayList<>();
    for (Wish.InHerb herb : plan.wish().herbs()) {
      double wanted = herb.massG().middle();
      herb.lot()
          .filter(l -> l.lot().amount() < wanted - ROUNDING)
          .ifPresent(
              l ->
                  warnings.add(
                      "This lot of "
                          + herb.portion().herb().name()
                          + " holds "
                          + fmt.g(l.lot().amount())
                          + "; "
                          + fmt.g(wanted - l.lot().amount())
                          + " more comes from elsewhere."));
    }
    double shares = plan.wish().oils().stream().mapToDouble(Wish.InOil::share).sum();
    for (Wish.InOil oil : plan.wish().oils()) {
      double wanted = plan.oilMl() * oil.share() / shares;
      oil.lot()
          .filter(l -> l.lot().amount() < wanted - ROUNDING)
          .ifPresent(
              l ->
                  warnings.add(
                      "This lot of "
                          + oil.carrier().name()
                          + " holds "
                          + fmt.ml(l.lot().amount())
                          + "; "
                          + fmt.ml(wanted - l.lot().amount())
                          + " more comes from elsewhere."));
    }
    Stream.concat(
            plan.wish().herbs().stream().flatMap(h -> h.lot().stream()),
            plan.wish().oils().stream().flatMap(o -> o.lot().stream()))
        .forEach(l -> warnings.addAll(ages(l.lot(), catalogue, fmt)));
    if (!plan.choice().even()) {
      warnings.add(
          "No free jar holds it all: "
              + plan.filled().stream()
                  .map(
                      f ->
                          f.jar().name()
                              + " with "
                              + fmt.g(plan.wish().herbG().middle() * f.share())
                              + " and "
                              + fmt.ml(f.pouredMl().middle()))
                  .collect(Collectors.joining("; "))
              + ".");
    }
    return warnings;
  }

  /** Which lot an age is said of: the cautions name none. */
  private static List<String> ages(Lot lot, Catalogue catalogue, Formats fmt) {
    String name = new LotWords(catalogue, fmt).name(lot);
    String until = lot.goodUntil(catalogue).map(fmt::date).orElse("");
    LocalDate opened = lot.details().dates().openedOn();
    return lot.ages(catalogue, fmt.today()).stream()
        .map(
            age ->
                switch (age) {
                  case HERB_PAST, OIL_PAST -> name + ": good until " + until + ", which is past.";
                  case OIL_NEAR -> name + ": good until " + until + " only.";
                  case OIL_OPEN_LONG ->
                      name + ": open since " + (opened == null ? "" : fmt.date(opened)) + ".";
                  case OIL_TURNS_SOON -> "";
                })
        .filter(words -> !words.isEmpty())
        .toList();
  }

  private static Versus versus(Comparison compared, Formats fmt) {
    List<velvetcrock.core.outlook.Way> ways = compared.ways();
    List<Versus.Row> rows = new ArrayList<>();
    rows.add(row("Extracted, an estimate", ways, w -> fmt.pull(w.drawn())));
    rows.add(row("Ready after", ways, w -> fmt.days(Math.round(w.hours() / 24))));
    rows.add(row("Shelf life used", ways, w -> fmt.days(Math.round(w.keepingSpentDays()))));
    rows.add(row("Keeps, cool and dark", ways, w -> PromiseWords.keepsTo(w.keeps(), fmt)));
    rows.add(row("Work", ways, w -> w.handsOnMinutes() + " min, " + w.checks() + " checks"));
    return new Versus(List.of("Without spirit", "With spirit"), rows);
  }

  private static Versus.Row row(
      String name,
      List<velvetcrock.core.outlook.Way> ways,
      Function<velvetcrock.core.outlook.Way, String> value) {
    return new Versus.Row(name, ways.stream().map(value).toList());
  }

  private static String headline(Reckoned plan, Levels levels, Formats fmt) {
    Charge charge = plan.charge();
    if (!charge.covers()) {
      return "The oil will not cover the herb";
    }
    if (!levels.fits()) {
      return "It does not fit under the fill line";
    }
    String oil = fmt.volume(plan.filled().get(0).pouredMl().middle()) + " of oil covers it";
    boolean vague = plan.wish().oilMl().isPresent() && !plan.wish().oilMl().get().exact();
    return vague ? "About " + oil : oil;
  }

  private static String underline(Reckoned plan, Formats fmt) {
    Charge charge = plan.charge();
    int count = plan.choice().count();
    String jars =
        count == 1
            ? ""
            : plan.choice().even()
                ? "In each of " + count + " jars: "
                : "In the first of " + count + " jars: ";
    String ratio = fmt.ratio(charge.oilPerHerb()) + " by weight to volume";
    if (!charge.covers()) {
      return jars
          + ratio
          + ", short by "
          + fmt.ml(charge.shortMl())
          + " once the herb has swollen. Ways out:";
    }
    return jars
        + ratio
        + ", "
        + fmt.g(charge.oilMassG())
        + " of oil"
        + (plan.chosen().ratioChosen() ? "" : ", the least that covers")
        + ".";
  }

  private static JarDrawing drawing(Reckoned plan, Levels levels, Formats fmt) {
    Herb herb = plan.order().herbs().get(0).herb();
    Part part = plan.order().herbs().get(0).part();
    Carrier carrier = plan.order().carriers().shares().get(0).carrier();
    double scale =
        Math.min(
            PX_PER_MM,
            Math.min(
                TALLEST_PX / (levels.brimMm() + 20),
                WIDEST_PX / (plan.jar().innerDiameterMm() + 40)));
    String words =
        plan.jar().name()
            + " with "
            + fmt.g(plan.herbG())
            + " of "
            + plan.order().herbs().stream()
                .map(h -> h.herb().name())
                .collect(Collectors.joining(" and "))
            + " up to "
            + fmt.mm(levels.bedMm())
            + " and oil up to "
            + fmt.mm(levels.standingOilMm())
            + " of "
            + fmt.mm(levels.brimMm());
    return JarDrawing.of(
        new JarDrawing.Filled(
            "bench",
            levels.bedMm(),
            levels.standingOilMm(),
            levels.brimMm(),
            plan.jar().innerDiameterMm(),
            plan.jar().shape(),
            false,
            plan.spirit().isEmpty(),
            part.lumpy(),
            carrier.tint(),
            herb.colours().fleck(),
            words),
        scale);
  }

  private static List<Mark> marks(Charge charge, Levels levels, Formats fmt) {
    List<Mark> marks = new ArrayList<>();
    double frame = levels.brimMm() + 19.2;
    boolean swells = charge.topUpMl() >= 1;
    boolean over = levels.bedMm() > levels.standingOilMm();
    int bedAt = percent((16 + levels.brimMm() - Math.min(levels.bedMm(), levels.brimMm())) / frame);
    int oilAt =
        percent((16 + levels.brimMm() - Math.min(levels.standingOilMm(), levels.brimMm())) / frame);
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
    marks.add(
        new Mark(
            fmt.ml(charge.room().bedMl()) + " bed",
            swells ? "herb, swollen in two days" : "herb",
            bedAt,
            "bed"));
    return marks;
  }

  private static int percent(double share) {
    return (int) Math.round(100 * Math.max(0.02, Math.min(0.98, share)));
  }

  private static List<Fact> facts(
      Reckoned plan, Catalogue catalogue, LocalDate chargedOn, Formats fmt) {
    Charge charge = plan.charge();
    List<Fact> facts = new ArrayList<>();
    facts.add(
        new Fact(
            "Herb",
            fmt.aboutG(plan.herbG()),
            plan.herbG().exact() ? null : fmt.g(plan.herbG()) + ", by how it is packed"));
    if (plan.wish().herbs().size() > 1) {
      facts.add(new Fact("Made of", blend(plan, fmt), "by weight"));
    }
    Range poured = plan.filled().get(0).pouredMl();
    facts.add(
        new Fact(
            "Oil",
            fmt.volume(poured.middle()),
            poured.exact() ? fmt.g(charge.oilMassG()) : fmt.ml(poured) + ": weigh it to be sure"));
    if (plan.wish().oils().size() > 1) {
      facts.add(new Fact("Of it", oils(plan, poured.middle(), fmt), "by volume"));
    }
    if (charge.topUpMl() >= 1) {
      facts.add(
          new Fact(
              plan.wish().method().heated() ? "Top up, on the heat" : "Top up, days 1–3",
              "about " + fmt.ml(charge.topUpMl()),
              "as the herb swells"));
    }
    facts.add(
        new Fact(
            "Strength",
            fmt.number(charge.strengthAgainstOneToFive(plan.order().herbs()), 2),
            "1 is a dried 1 : 5"));
    facts.add(
        new Fact(
            "Comes out",
            "about " + fmt.ml(plan.expected().yield().yieldMl()),
            fmt.ml(plan.expected().yield().rangeMl())
                + (Strainer.usually(plan.wish().portions()) == Expression.SQUEEZE
                    ? ", squeezed by hand"
                    : ", left to drip")
                + (plan.expected().learnedFrom() == 0
                    ? ""
                    : plan.expected().learnedFrom() == 1
                        ? "; one batch of yours taught it"
                        : "; " + plan.expected().learnedFrom() + " batches of yours taught it")));
    facts.add(strain(plan, catalogue, chargedOn, fmt));
    return facts;
  }

  private static String blend(Reckoned plan, Formats fmt) {
    return plan.wish().herbs().stream()
        .sorted(Comparator.comparingDouble((Wish.InHerb h) -> h.portion().massG()).reversed())
        .map(h -> fmt.aboutG(h.massG().times(plan.share())) + " " + h.portion().herb().name())
        .collect(Collectors.joining(", "));
  }

  private static String oils(Reckoned plan, double ml, Formats fmt) {
    return plan.order().carriers().shares().stream()
        .map(s -> fmt.ml(ml * s.share()) + " " + s.carrier().name())
        .collect(Collectors.joining(", "));
  }

  /** When it is strained, by the rule that holds once it is charged. */
  private static Fact strain(Reckoned plan, Catalogue catalogue, LocalDate chargedOn, Formats fmt) {
    Window window =
        Window.of(plan.wish().method(), chargedOn, plan.heatGoal(), plan.wish().freshForEating())
            .at(speed(plan, catalogue));
    WindowWords words = new WindowWords(window, fmt);
    return new Fact(
        window.byHours() ? "Strain after" : "Strain",
        words.span(),
        words.usual() + (window.byHours() ? "" : SpeedWords.after(speed(plan, catalogue), fmt)));
  }

  /** How fast its heaviest herb gives here. */
  private static Speed speed(Reckoned plan, Catalogue catalogue) {
    HerbPortion heaviest =
        plan.wish().portions().stream()
            .max(Comparator.comparingDouble(HerbPortion::massG))
            .orElseThrow();
    HerbPortion put = plan.wish().blended() ? heaviest.withCut(Cut.GROUND) : heaviest;
    return catalogue.speed(put.in(plan.wish().oils().get(0).carrier().key(), plan.wish().method()));
  }

  private static List<Way> ways(Reckoned plan, Formats fmt) {
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
                "amount=" + fmt.typedG(floor(less.herbMassG()))));
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
