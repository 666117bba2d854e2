package velvetcrock.batch;

import java.util.List;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.care.Readiness;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.Charge.Levels;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.Window;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Jar;
import velvetcrock.web.Formats;
import velvetcrock.web.JarDrawing;

/**
 * A jar as it is shown: drawn, named, and with one line on how it stands.
 *
 * @param lid what its lid says
 * @param mood {@code resting}, {@code ready}, {@code over}, {@code care} or {@code stop}
 */
public record JarView(
    String code,
    String herb,
    String botanical,
    String oil,
    Lid lid,
    String size,
    String day,
    String standing,
    String mood,
    String place,
    JarDrawing drawing,
    Beads beads) {

  /**
   * What its lid says.
   *
   * @param shortHerb its herbs for a lid: all names, or the first and how many more
   * @param shortOil its oils, likewise
   */
  public record Lid(String shortHerb, String shortOil) {}

  /** How far herb is drawn to stand out of the oil where somebody saw that it does. */
  private static final double UNCOVERED_MM = 8;

  /** A jar at a scale of so many px to the mm. */
  public static JarView of(BatchRecord batch, Catalogue catalogue, Formats fmt, double pxPerMm) {
    BatchState state = batch.state();
    BatchReckoning reckoning = new BatchReckoning(catalogue, state);
    String names = reckoning.herbNames();
    String botanical = reckoning.botanicalNames();
    String oil = reckoning.carriers().names();
    Window window = reckoning.window(fmt.zone());
    Window.Served served = reckoning.served(batch.readHours(), fmt.now());
    Standing standing = standing(state, reckoning, window, served, fmt);
    return new JarView(
        batch.code(),
        names,
        botanical,
        oil,
        new JarView.Lid(
            shortened(reckoning.herbsByWeight().stream().map(Herb::name).toList()),
            shortened(
                reckoning.carriers().shares().stream()
                    .sorted((a, b) -> Double.compare(b.share(), a.share()))
                    .map(s -> s.carrier().name())
                    .toList())),
        fmt.ml(state.vessel().brimMl()),
        dayWords(state, fmt),
        standing.words(),
        standing.mood(),
        state.stand().name(),
        drawing(batch, reckoning, catalogue, fmt, pxPerMm, names, oil),
        Beads.of(window, window.at(fmt.today(), served), fmt));
  }

  private static String shortened(List<String> names) {
    return names.size() == 1 ? names.get(0) : names.get(0) + " and " + (names.size() - 1) + " more";
  }

  private record Standing(String words, String mood) {}

  private static Standing standing(
      BatchState state,
      BatchReckoning reckoning,
      Window window,
      Window.Served served,
      Formats fmt) {
    if (state.status() == Status.STRAINED) {
      return new Standing("strained, to be bottled", "ready");
    }
    if (state.status() == Status.RESTING) {
      return new Standing("resting in spirit", "resting");
    }
    if (state.status() != Status.INFUSING) {
      String words =
          switch (state.status()) {
            case THROWN_OUT -> "thrown out";
            case BOTTLED -> "in bottles";
            default -> "all used";
          };
      return new Standing(words, "resting");
    }
    if (state.seen().spoiled()) {
      return new Standing("spoiled: throw it out", "stop");
    }
    if (Boolean.FALSE.equals(state.seen().covered())) {
      return new Standing("not covered", "care");
    }
    if (Boolean.TRUE.equals(state.seen().floating())) {
      return new Standing("floating", "care");
    }
    if (reckoning.holdsWater()) {
      return new Standing(losing(state), "care");
    }
    return inWindow(state, reckoning, window, served, fmt);
  }

  private static Standing inWindow(
      BatchState state,
      BatchReckoning reckoning,
      Window window,
      Window.Served served,
      Formats fmt) {
    boolean on = state.heat().now().isPresent();
    boolean ready =
        Readiness.of(state, reckoning, served, fmt.today(), fmt.zone()).verdict()
            == Readiness.Verdict.READY;
    Window.Stage stage = window.stage(fmt.today(), served);
    return switch (stage) {
      case NOT_BEGUN -> new Standing("to be put on the heat", "care");
      case PAST -> new Standing(on ? "over: take it off" : "over: strain now", "over");
      case OPEN, USUAL -> {
        if (on && window.byHours()) {
          yield new Standing("may come off the heat", "ready");
        }
        String words = stage == Window.Stage.USUAL ? "ready" : "could strain";
        yield ready
            ? new Standing(words, "ready")
            : new Standing("in its window, not yet", "resting");
      }
      case EARLY -> ready ? new Standing("ready", "ready") : toGo(window, served, on, fmt);
    };
  }

  private static Standing toGo(Window window, Window.Served served, boolean on, Formats fmt) {
    double left = window.earliest() - window.at(fmt.today(), served);
    if (!window.byHours()) {
      return new Standing(
          (on ? "on the heat, " : "") + days(Math.round(left), fmt) + " to go", "resting");
    }
    return new Standing(
        (on ? "on the heat, " : "off the heat, ") + fmt.time(left) + " to go",
        on ? "resting" : "care");
  }

  /** Whole weeks as weeks, else days: it is counted down. */
  private static String days(long left, Formats fmt) {
    return left % 7 == 0 || left == 1 ? fmt.days(left) : left + " days";
  }

  private static String losing(BatchState state) {
    return state.charge().manner().spirit() == null ? "losing its water" : "losing its spirit";
  }

  private static String dayWords(BatchState state, Formats fmt) {
    if (state.status() == Status.BOTTLED || state.status() == Status.FINISHED) {
      return "Strained";
    }
    long day = state.day(fmt.today());
    String about = state.charge().begun().aboutDays() > 0 ? "About day " : "Day ";
    return day == 0 ? "Charged today" : about + day;
  }

  private static JarDrawing drawing(
      BatchRecord batch,
      BatchReckoning reckoning,
      Catalogue catalogue,
      Formats fmt,
      double pxPerMm,
      String names,
      String oil) {
    BatchState state = batch.state();
    Window window = reckoning.window(fmt.zone());
    Window.Served served = reckoning.served(batch.readHours(), fmt.now());
    Charge charge = reckoning.charge();
    Levels levels = charge.levels().orElseThrow();
    boolean strained = state.strained() != null;
    boolean floats = Boolean.TRUE.equals(state.seen().floating());
    HerbIn first = state.charge().herbs().get(0);
    Herb herb = catalogue.herb(first.herb());
    Carrier carrier = catalogue.carrier(state.charge().carriers().get(0).carrier());
    boolean vents =
        state.status() == Status.INFUSING
            && reckoning.leaving().map(l -> !l.done()).orElse(false)
            && state.charge().manner().read().stream().noneMatch("fresh-cold"::equals);
    boolean rests = state.status() == Status.RESTING;
    boolean dry = Boolean.FALSE.equals(state.seen().covered());
    double oilMm = rests ? 0 : dry ? levels.bedMm() - UNCOVERED_MM : levels.standingOilMm();
    double drawn = Math.max(0, Math.min(1, window.at(fmt.today(), served) / window.usual()));
    boolean round = first.part().lumpy();
    String words =
        name(state.vessel().shape())
            + " of "
            + names
            + (rests ? ", dampened with spirit, before " : " in ")
            + oil
            + ", drawn to scale: herb to "
            + fmt.mm(levels.bedMm())
            + (rests
                ? ", brim at "
                : dry ? ", not covered by its oil, brim at " : ", oil to " + fmt.mm(oilMm) + " of ")
            + fmt.mm(levels.brimMm());
    return JarDrawing.of(
        new JarDrawing.Filled(
            "jar-" + batch.code(),
            strained ? 0 : levels.bedMm(),
            strained ? levels.standingOilMm() * 0.8 : oilMm,
            levels.brimMm(),
            state.vessel().innerDiameterMm(),
            state.vessel().shape(),
            floats,
            !strained && !vents,
            round,
            oilColour(state, carrier, herb, drawn),
            herb.colours().fleck(),
            words),
        pxPerMm);
  }

  /** The colour last seen; where nobody looked, between the plain oil's and the herb's. */
  private static String oilColour(BatchState state, Carrier carrier, Herb herb, double drawn) {
    List<ColourStory.Seen> seen = state.colours().seen();
    return seen.isEmpty()
        ? JarDrawing.mix(carrier.tint(), herb.colours().tint(), 0.9 * drawn)
        : seen.get(seen.size() - 1).colour().hex();
  }

  private static String name(Jar.Shape shape) {
    return switch (shape) {
      case JAR -> "Jar";
      case BOWL -> "Bowl";
      case PAN -> "Pan";
      case DISH -> "Oven dish";
      case CROCK -> "Crock";
    };
  }
}
