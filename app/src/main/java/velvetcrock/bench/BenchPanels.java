package velvetcrock.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import velvetcrock.bench.BenchView.Fact;
import velvetcrock.bench.BenchView.Panel;
import velvetcrock.bench.BenchView.Way;
import velvetcrock.bench.WishReader.Bench;
import velvetcrock.core.Range;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.heat.Ageing;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Cooling;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.SunnyDay;
import velvetcrock.core.heat.ThermalPot;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.moisture.Evaporation;
import velvetcrock.core.moisture.Moisture;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.kitchen.Appliances;
import velvetcrock.web.Formats;
import velvetcrock.web.MethodWords;

/**
 * What the bench says of the ways in that need more than pouring: water, spirit, solid fats,
 * blending.
 */
final class BenchPanels {
  private static final double HOURS_PER_DAY = 24;
  private static final double COOLEST_HOUR = 6;
  private static final double WARMEST_HOUR = 14;

  private final Reckoned plan;
  private final Bench bench;
  private final Catalogue catalogue;
  private final Formats fmt;

  BenchPanels(Reckoned plan, Bench bench, Catalogue catalogue, Formats fmt) {
    this.plan = plan;
    this.bench = bench;
    this.catalogue = catalogue;
    this.fmt = fmt;
  }

  List<Panel> panels() {
    List<Panel> panels = new ArrayList<>();
    water().ifPresent(panels::add);
    plan.spirit().map(this::spirit).ifPresent(panels::add);
    solid().ifPresent(panels::add);
    heat().ifPresent(panels::add);
    return panels;
  }

  /** The water that fresh herb brings, why it matters, and the ways to go on. */
  private Optional<Panel> water() {
    Charge charge = plan.charge();
    if (charge.water().waterPercentOfOil() <= Charge.WATER_OIL_CAN_HOLD_PERCENT) {
      return Optional.empty();
    }
    List<Way> ways = new ArrayList<>();
    HerbPortion wettest =
        plan.wish().portions().stream()
            .max((a, b) -> Double.compare(a.freeWaterG(), b.freeWaterG()))
            .orElseThrow();
    double dryG = Moisture.of(wettest.massG(), wettest.waterFraction(), 0.10).targetMassG();
    ways.add(
        new Way(
            "Dry it first",
            "then it brings none",
            "To " + fmt.g(dryG),
            "",
            "/drawer/drying/new?herb="
                + wettest.herb().key()
                + "&amount="
                + fmt.number(wettest.massG(), 1)
                + "+g"));
    double wilted = catalogue.herb(wettest.herb().key()).waterFraction(HerbState.WILTED);
    if (wettest.waterFraction() > wilted && plan.wish().use() != Use.KITCHEN) {
      double wiltedG = Moisture.of(wettest.massG(), wettest.waterFraction(), wilted).targetMassG();
      ways.add(
          new Way(
              "Wilt it",
              "it then brings " + fmt.g(Moisture.freeWaterG(wiltedG, wilted)) + " of water",
              "To " + fmt.g(wiltedG),
              "",
              "/drawer/drying/new?way=RACK&herb="
                  + wettest.herb().key()
                  + "&amount="
                  + fmt.number(wettest.massG(), 1)
                  + "+g"));
    }
    boolean eaten = plan.wish().use() == Use.KITCHEN;
    if (!plan.wish().method().heated() && !eaten) {
      ways.add(
          new Way(
              "Heat it gently",
              "weigh the pot until it has lost its water",
              "Has to lose " + fmt.g(charge.water().waterMl()),
              "method=WARM"));
    }
    boolean edible = plan.wish().portions().stream().allMatch(h -> h.herb().edible());
    if (edible && (!eaten || plan.wish().drawsAtC() > Store.Place.FRIDGE.celsius())) {
      String fridge =
          bench.places().stream()
              .filter(p -> p.celsius() <= Store.Place.FRIDGE.celsius())
              .findFirst()
              .map(p -> ";method=;place=" + p.id())
              .orElse("");
      ways.add(
          new Way(
              eaten ? "In the fridge" : "For the kitchen only",
              "at 4 °C or below from the first minute",
              "Eaten within 4 days",
              "use=KITCHEN" + fridge));
    }
    String lead =
        "Oil holds about 0.1 % of its weight. What is above it sinks as drops, and in them microbes live."
            + (eaten
                ? " For eating it is never driven off: dry the herb, or keep it in the cold."
                : "");
    return Optional.of(
        new Panel(
            "The water it brings",
            lead,
            List.of(
                new Fact("Water that goes into the oil", fmt.ml(charge.water().waterMl()), null),
                new Fact(
                    "Of the oil", fmt.number(charge.water().waterPercentOfOil(), 1) + " %", null),
                new Fact("In the herb", fmt.percent(wettest.waterFraction()), source(wettest)),
                leaves(),
                new Fact(
                    "Keeps",
                    eaten
                        ? "4 days from today in the fridge; frozen at once, 3 months"
                        : "14 days, in the fridge",
                    eaten
                        ? "whatever is done to it"
                        : "until the scale shows it dry, or three signs do: no bubble for 20 minutes at"
                            + " 60 °C, herb crisp, no water under it after a night; "
                            + onceDry())),
            ways,
            null));
  }

  /** The way of heat that is chosen, as it is reckoned beside the others. */
  private Optional<velvetcrock.core.outlook.Way> chosen() {
    return plan.beside().heats().stream()
        .flatMap(c -> c.ways().stream())
        .filter(w -> w.method() == plan.wish().method())
        .findFirst();
  }

  /** What it keeps once it is shown dry, as far as the dates of the oil are known. */
  private String onceDry() {
    return chosen()
        .filter(w -> w.keeps().toBeShown())
        .map(w -> "then until about " + fmt.fullDate(w.keeps().onceDry()))
        .orElse("then as one of dried herb");
  }

  /** What of the water can leave in the hours of the method. */
  private Fact leaves() {
    Wish wish = plan.wish();
    Jar jar = wish.jar();
    if (!wish.method().heated() || jar == null || wish.use() == Use.KITCHEN) {
      return new Fact("Leaves by itself", "none", "below 35 °C it stays in the oil");
    }
    HeatGoal goal = plan.heatGoal();
    double waterG = wish.portions().stream().mapToDouble(HerbPortion::freeWaterG).sum();
    Evaporation leaving =
        Evaporation.of(
            Trace.steady(goal.usualC(), goal.usualHours()),
            jar.innerDiameterMm(),
            Evaporation.Cover.OPEN);
    double hours =
        Evaporation.hours(waterG, goal.usualC(), jar.innerDiameterMm(), Evaporation.Cover.OPEN);
    return new Fact(
        "Can leave in " + fmt.time(goal.usualHours()) + ", open",
        fmt.g(leaving.range()),
        leaving.range().high() < waterG
            ? "not all of it: that would take about " + fmt.hours(hours)
            : "all of it in about " + fmt.hours(hours) + ", if it goes well");
  }

  private static String source(HerbPortion herb) {
    return herb.herb().name().toLowerCase(Locale.ROOT) + ", as reckoned";
  }

  private Panel spirit(SpiritStep step) {
    Wish.InSpirit spirit = plan.wish().spirit().orElseThrow();
    return new Panel(
        "Dampened with spirit first",
        "Mix the ground herb with the spirit until it is evenly damp, cover it and let it rest. The oil"
            + " follows, and the jar stands warm and loosely covered until the spirit has left.",
        List.of(
            new Fact(
                "Spirit",
                fmt.g(step.spiritMassG()) + ", " + fmt.ml(step.spiritMl()),
                fmt.number(spirit.abvPercent(), 0) + " % vol"),
            new Fact("It brings", fmt.g(step.ethanolMassG()) + " of ethanol", null),
            new Fact(
                "and water",
                fmt.g(step.waterMassG()),
                fmt.number(step.waterPercentOfOil(), 1) + " % of the oil"),
            new Fact("Has to leave", fmt.g(step.mustLeaveG()), "weigh the jar down to it"),
            new Fact(
                "Rests",
                fmt.hours(new Range(SpiritStep.SOONEST_USUAL_HOURS, SpiritStep.USUAL_HOURS)),
                "at least 8 h, at most 48")),
        grind(),
        step.reckoning());
  }

  /** Spirit is for ground herb: what is coarser is offered to be ground. */
  private List<Way> grind() {
    boolean coarse =
        !plan.wish().blended()
            && plan.wish().portions().stream().anyMatch(h -> h.cut().compareTo(Cut.GROUND) < 0);
    return coarse
        ? List.of(
            new Way(
                "Grind it first",
                "spirit opens a ground herb; a coarse one it hardly enters",
                "Ground",
                "cut=GROUND"))
        : List.of();
  }

  /** Where solid fats are in it: judged melted, when it sets, how long there is to work. */
  private Optional<Panel> solid() {
    OptionalDouble sets = plan.order().carriers().setsNearC();
    if (sets.isEmpty()) {
      return Optional.empty();
    }
    Method method = plan.wish().method();
    double room = Math.min(plan.wish().place().celsius(), sets.getAsDouble() - 1);
    List<Fact> facts = new ArrayList<>();
    facts.add(
        new Fact(
            "Begins to set near",
            fmt.degrees(sets.getAsDouble()),
            "below that the room stiffens it"));
    if (method.heated()) {
      Range minutes =
          Cooling.minutes(method.celsius(), sets.getAsDouble(), room, plan.charge().oilMl());
      facts.add(
          new Fact(
              "Time to strain off the heat",
              fmt.number(minutes.low(), 0) + "–" + fmt.number(minutes.high(), 0) + " min",
              "from " + fmt.degrees(method.celsius()) + ", an estimate"));
    }
    double solidShare =
        plan.order().carriers().shares().stream()
            .filter(s -> s.carrier().solidAt(Carrier.ROOM_C))
            .mapToDouble(s -> s.share())
            .sum();
    facts.add(
        new Fact(
            "Solid when it goes in",
            fmt.percent(solidShare),
            fmt.g(plan.charge().oilMassG() * solidShare) + ", weighed unmelted"));
    return Optional.of(
        new Panel(
            "Charged unmelted",
            "Weigh solid fats in as they are. Levels and cover here are those once all is melted: judge them"
                + " then.",
            facts,
            method.heated()
                ? List.of()
                : List.of(
                    new Way(
                        "Warm it",
                        "a solid fat does not infuse",
                        "38–50 °C for 4 to 12 h",
                        "method=WARM")),
            null));
  }

  /**
   * The band, the time and what they cost; and what this kitchen's own settings turned out to be.
   */
  private Optional<Panel> heat() {
    Method method = plan.wish().method();
    if (method == Method.SOLAR) {
      return Optional.of(sun());
    }
    if (!method.heated() && method != Method.TWO_STAGE) {
      return Optional.empty();
    }
    HeatGoal goal = plan.heatGoal();
    double usualC = goal.usualC();
    List<Fact> facts = new ArrayList<>();
    facts.add(
        new Fact(
            "The oil’s own temperature",
            fmt.degrees(goal.band().lowC(), goal.band().highC()),
            "never above " + fmt.degrees(goal.ceilingC())));
    facts.add(
        new Fact(
            method == Method.TWO_STAGE ? "Warm start" : "On the heat",
            fmt.time(goal.earliestHours()) + " to " + fmt.time(goal.latestHours()),
            "usually " + fmt.time(goal.usualHours())));
    facts.add(
        new Fact(
            "Shelf life it uses",
            spent(usualC, goal.usualHours()),
            "if it ran to "
                + fmt.degrees(goal.band().highC())
                + ": "
                + spent(goal.band().highC(), goal.usualHours())));
    if (method == Method.CROCK) {
      facts.add(onLow(goal));
    }
    for (Appliances.Owned appliance : bench.appliances()) {
      appliance.learned().forEach(learned -> facts.add(learned(appliance, learned, goal, usualC)));
    }
    List<Way> others =
        plan.beside().heats().stream()
            .flatMap(c -> c.ways().stream())
            .filter(w -> w.method() != method)
            .filter(w -> HeatGoal.bears(w.method(), plan.herbCeilingC()))
            .filter(w -> !plan.wish().freshForEating())
            .map(this::byHeat)
            .toList();
    return Optional.of(new Panel("On the heat", school(method), facts, others, null));
  }

  /** What a slow cooker on low would come to, by the same course that the stove assumes. */
  private Fact onLow(HeatGoal goal) {
    Appliance.Setting low = Appliance.SLOW_COOKER.setting("low");
    double celsius = ThermalPot.typical(Appliance.SLOW_COOKER, low).meanC();
    return new Fact(
        "On low it is often",
        fmt.degrees(celsius),
        "which uses " + spent(celsius, goal.usualHours()));
  }

  /** The sunny window: its day, its weeks, and what light and warmth cost. */
  private Panel sun() {
    double usualHours = Method.SOLAR.usualHours();
    double ageingHours = Ageing.hours(SunnyDay.course(usualHours, 0, Carrier.ROOM_C));
    return new Panel(
        "In the sun",
        "Some swear by the sunny window, others keep every jar in the dark. This leans to the dark: light"
            + " ages oil two and a half times as fast, on top of the day’s warmth.",
        List.of(
            new Fact(
                "The oil’s own temperature",
                fmt.degrees(
                    SunnyDay.celsius(COOLEST_HOUR, Carrier.ROOM_C),
                    SunnyDay.celsius(WARMEST_HOUR, Carrier.ROOM_C)),
                "by night and by day, an estimate"),
            new Fact(
                "In the window",
                fmt.hours(new Range(Method.SOLAR.earliestHours(), Method.SOLAR.latestHours())),
                "usually " + fmt.hours(usualHours)),
            new Fact(
                "Shelf life it uses",
                days(ageingHours / HOURS_PER_DAY * Light.WINDOW.factor()),
                "in the dark at 20 °C: " + days(usualHours / HOURS_PER_DAY))),
        List.of(),
        null);
  }

  private String spent(double celsius, double hours) {
    return days(Ageing.rate(celsius) * hours / HOURS_PER_DAY);
  }

  private String days(double days) {
    String number = fmt.number(days, days < 10 ? 1 : 0);
    return number + (number.equals("1") ? " day" : " days");
  }

  /** Another way of heat: its band and time, and what it pulls against what it spends. */
  private Way byHeat(velvetcrock.core.outlook.Way way) {
    HeatGoal goal = HeatGoal.of(way.method(), plan.herbCeilingC());
    double days = way.keepingSpentDays();
    return new Way(
        MethodWords.name(way.method()),
        fmt.degrees(goal.band().lowC(), goal.band().highC())
            + ", "
            + (way.method() == Method.TWO_STAGE
                ? "then " + fmt.hours(way.hours())
                : fmt.hours(new Range(way.method().earliestHours(), way.method().latestHours()))),
        "Extracted: "
            + fmt.pull(way.drawn())
            + (chosen().map(c -> c.drawn().toldApartFrom(way.drawn())).orElse(true)
                ? ""
                : ", cannot be told apart from this")
            + "; uses "
            + fmt.number(days, days < 10 ? 1 : 0)
            + " days",
        "method=" + way.method().name());
  }

  private Fact learned(
      Appliances.Owned appliance, Appliances.Learned learned, HeatGoal goal, double usualC) {
    double mean = learned.settled().meanC();
    String against =
        mean > goal.band().highC()
            ? "too hot for this: not " + fmt.degrees(usualC)
            : mean < goal.band().lowC()
                ? "too cool for this"
                : "in the band, after " + fmt.time(learned.settled().minutes() / 60);
    return new Fact(
        (appliance.name().startsWith("The ") ? "" : "Your ")
            + appliance.name()
            + " on "
            + learned.setting(),
        fmt.degrees(mean),
        against);
  }

  private static String school(Method method) {
    return switch (method) {
      case TWO_STAGE ->
          "A short warm start opens the herb, then it stands for weeks in the dark. One batch, two legs:"
              + " the stove times the first, the shelf the second.";
      case WARM ->
          "Some hold it for hours, some for days, some hotter. This leans to low and slow: the coolest that"
              + " meets the date.";
      case CROCK ->
          "Many trust the word on the knob. Warm is often 60 to 75 °C in truth and low far more: read the"
              + " oil once.";
      case SIMMER ->
          "Quick and common, and hard on the oil and on scent. Look at the bath’s water every quarter of an"
              + " hour.";
      case OVEN ->
          "Some go to 120 °C and above. From 100 °C the herb fries: stay below, and put a thermometer into"
              + " the oil itself.";
      case COLD, SOLAR, SPIRIT -> "";
    };
  }
}
