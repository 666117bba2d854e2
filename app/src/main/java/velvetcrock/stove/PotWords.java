package velvetcrock.stove;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BatchRecord;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.PotOnHeat;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Forecast;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.heat.Silence;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/** Says how a pot stands and what to do about it. */
final class PotWords {
  /** Leaving the band within this is soon, min. */
  private static final double SOON_MINUTES = 15;

  /** Warming up is no alarm for so long, h. */
  private static final double WARMS_UP_HOURS = 2;

  /** A swing of less than this is steady, °C. */
  private static final double STEADY_C = 2;

  /** A probe in a pot that no log puts on the heat is forgotten after this. */
  private static final Duration FORGETS = Duration.ofHours(2);

  /** Readings older than this say nothing about now. */
  private static final Duration STALE = Duration.ofMinutes(30);

  private final BatchRecord batch;
  private final BatchState state;
  private final PotHeat heat;
  private final Catalogue catalogue;
  private final Cautions cautions;
  private final Formats fmt;
  private final Instant now;
  private final HeatGoal goal;
  private final BatchState.@Nullable Stint stint;
  private final Optional<Reading> last;
  private final boolean fromFile;

  PotWords(LivePot pot, Catalogue catalogue, Cautions cautions, Formats fmt, Instant now) {
    this.batch = pot.batch();
    this.state = batch.state();
    this.heat = pot.heat(catalogue, now);
    this.catalogue = catalogue;
    this.cautions = cautions;
    this.fmt = fmt;
    this.now = now;
    this.goal = heat.goal();
    this.stint = state.heat().now().orElse(null);
    this.last = heat.last();
    this.fromFile = pot.fromFile();
  }

  /** How sure the present temperature is, and what it is. */
  private record Present(@Nullable Double celsius, String source, boolean silent, boolean read) {}

  /** What stands between fine and trouble. */
  private record Mood(String name, String words, boolean alarm, String say) {}

  PotRow row() {
    Present present = present();
    Optional<Forecast> forecast =
        present.read() && !present.silent() ? heat.forecast() : Optional.empty();
    double served = heat.servedHours(now);
    Mood mood = mood(present, forecast, served);
    Optional<Instant> topUp = Optional.ofNullable(stint).flatMap(BatchState.Stint::topUpBy);
    boolean bathLow = topUp.filter(by -> !now.isBefore(by)).isPresent();
    boolean spirit = JarFacts.spirit(state, new BatchReckoning(catalogue, state));
    List<Caution> said =
        cautions.forPot(
            new PotOnHeat(
                present.celsius() == null ? 0 : present.celsius(),
                stint != null && stint.bath() != null,
                bathLow,
                stint == null ? null : stint.heater().kind(),
                spirit));
    boolean stop = said.stream().anyMatch(c -> c.level() == Caution.Level.STOP) && stint != null;
    String bathWords =
        stint == null || stint.bath() == null
            ? ""
            : topUp.isEmpty()
                ? stint.bath().name()
                : stint.bath().name() + ": " + (bathLow ? "top it up now" : "water until");
    return new PotRow(
        batch.code(),
        new BatchReckoning(catalogue, state).herbNames(),
        way(),
        new PotRow.Thermo(
            present.celsius() == null ? "–" : figure(present.celsius(), present.read()),
            fmt.degreeUnit(),
            mood.name(),
            mood.words(),
            fmt.degrees(goal.band().lowC(), goal.band().highC())
                + ", never above "
                + fmt.degrees(goal.ceilingC()),
            trend(forecast),
            present.source()),
        new PotRow.Course(
            pull(),
            days(heat.spentDays(now)),
            fmt.time(served),
            fmt.time(goal.earliestHours())
                + " to "
                + fmt.time(goal.latestHours())
                + ", usually "
                + fmt.time(goal.usualHours()),
            percent(served),
            percent(goal.earliestHours()),
            percent(goal.usualHours())),
        new PotRow.Water(topUp.map(Instant::toEpochMilli).orElse(0L), bathWords),
        bathLow && !stop
            ? "Top up the bath with hot water." + (mood.alarm() ? " " + mood.say() : "")
            : mood.say(),
        mood.alarm() || stop || bathLow,
        new PotRow.Last(
            last.map(r -> r.at().toEpochMilli()).orElse(0L),
            last.map(r -> fmt.inDegrees(r.celsius())).orElse(null),
            heat.readings()),
        stint != null,
        solar(),
        said.stream()
            .map(
                c ->
                    new PotRow.Warning(
                        EnumWords.plain(c.level()),
                        EnumWords.capital(EnumWords.of(c.level())) + ".",
                        c.text(),
                        c.turnTo()))
            .toList());
  }

  private String figure(double celsius, boolean read) {
    return read
        ? String.format(Locale.ROOT, "%.1f", fmt.inDegrees(celsius))
        : fmt.number(fmt.inDegrees(celsius), 0);
  }

  private String days(double days) {
    String number = fmt.number(days, days < 10 ? 1 : 0);
    return number + (number.equals("1") ? " day" : " days");
  }

  private int percent(double hours) {
    return (int) Math.round(100 * Math.max(0, Math.min(1, hours / goal.latestHours())));
  }

  private String pull() {
    Pull pull = heat.pull(now);
    return pull.pull() <= 0 ? "none yet" : fmt.pull(pull);
  }

  private String way() {
    return methodWords(state.charge().method())
        + (stint == null ? "" : " · " + stint.heater().name() + " on " + stint.knob().name());
  }

  /** A method in a few words. */
  static String methodWords(Method method) {
    return switch (method) {
      case WARM -> "Warm";
      case CROCK -> "Slow cooker";
      case SIMMER -> "Simmered";
      case OVEN -> "Low oven";
      case TWO_STAGE -> "Warm start";
      case SOLAR -> "Sunny window";
      case SPIRIT -> "After spirit";
      case COLD -> "Cool";
    };
  }

  private Present present() {
    if (last.isPresent()) {
      Duration age = Duration.between(last.get().at(), now);
      OptionalDouble gap = heat.usualGapSeconds();
      boolean probe = gap.isPresent() && !fromFile;
      Duration quiet = probe ? Silence.after(gap.getAsDouble()) : STALE;
      boolean silent = age.compareTo(quiet) > 0;
      boolean assumed = !heat.assumed().isEmpty() && age.compareTo(Duration.ofMinutes(10)) > 0;
      if (!assumed && (!silent || stint == null || probe)) {
        return new Present(
            last.get().celsius(),
            (fromFile ? "From a file, " : probe ? "Probe, " : "Read by hand, ") + ago(age),
            probe && silent && (stint != null || unlogged() && age.compareTo(FORGETS) < 0),
            true);
      }
    }
    return heat.assumedLast()
        .filter(p -> stint != null || solar())
        .map(
            p ->
                new Present(
                    p.celsius(),
                    (solar()
                            ? "Estimated for a sunny window, ±\u00a0"
                            : "Estimated from the dial and by hand, ±\u00a0")
                        + within(heat.assumed().get(heat.assumed().size() - 1).withinC()),
                    false,
                    false))
        .orElse(new Present(null, "Nobody has read it yet", false, false));
  }

  /** Whether it is drawn warm and nobody has logged where. */
  private boolean unlogged() {
    return state.charge().method().heated() && state.heat().stints().isEmpty();
  }

  private String within(double celsius) {
    double degrees = fmt.inDegrees(celsius) - fmt.inDegrees(0);
    return fmt.number(degrees, 0) + "\u00a0" + fmt.degreeUnit();
  }

  private String ago(Duration age) {
    return age.toSeconds() < 60 ? "just now" : fmt.time(age.toMillis() / 3_600_000.0) + " ago";
  }

  private Mood mood(Present present, Optional<Forecast> forecast, double served) {
    if (stint == null && !state.heat().stints().isEmpty()) {
      return new Mood("done", "off the heat", false, doneWords(served));
    }
    if (present.silent()) {
      return new Mood(
          "silent",
          "the probe is silent",
          true,
          "Look at the pot and the probe: nothing has been heard, and the gap stays a gap.");
    }
    if (present.celsius() == null) {
      return stint == null
          ? new Mood("off", "not on the heat", false, "Put it on the heat below.")
          : new Mood("off", "not read yet", false, "Feel it, or read a thermometer.");
    }
    if (solar()) {
      return new Mood(
          "in",
          "in the sun",
          false,
          served >= goal.usualHours() ? "It may be strained." : "Shake it whenever you pass.");
    }
    return present.read()
        ? byTemperature(present.celsius(), forecast, served)
        : assumed(present.celsius(), served);
  }

  private boolean solar() {
    return state.charge().method() == Method.SOLAR;
  }

  /** What is only assumed rings no bell: it asks for a reading where it matters. */
  private Mood assumed(double celsius, double served) {
    Band band = goal.band();
    double within = heat.assumed().get(heat.assumed().size() - 1).withinC();
    boolean done = served >= goal.usualHours();
    double most = Math.min(band.highC(), goal.ceilingC());
    if (celsius > most - within / 2) {
      return new Mood(
          "near",
          celsius > most + within ? "likely too hot" : "perhaps too hot",
          false,
          "Read a thermometer, or turn it down a little.");
    }
    if (celsius < band.lowC()) {
      return new Mood("near", "likely below the band", false, "Let it warm, or turn it up.");
    }
    return done
        ? new Mood("done", "has had its time", false, "Take it off when it suits you.")
        : new Mood("in", "likely in the band", false, "Leave it as it is. Feel it now and then.");
  }

  private Mood byTemperature(double celsius, Optional<Forecast> forecast, double served) {
    Band band = goal.band();
    boolean bath = stint != null && stint.bath() != null;
    if (celsius > goal.ceilingC()) {
      return new Mood(
          "out",
          "above its ceiling",
          true,
          bath
              ? "Turn it down, lift the jar off, or cool the bath with water."
              : "Turn it down or lift it off.");
    }
    if (celsius > band.highC()) {
      return new Mood("out", "above the band", true, "Turn it down.");
    }
    if (celsius < band.lowC()) {
      boolean warming =
          heat.servedHours(now) < WARMS_UP_HOURS
              && heat.statistics().map(s -> s.peakC() < band.lowC()).orElse(true);
      boolean rising = forecast.map(f -> f.heading() == Forecast.Heading.RISING).orElse(false);
      return warming
          ? new Mood("near", "warming up", false, "Let it warm.")
          : new Mood(
              "out",
              "below the band",
              !rising,
              rising ? "It comes back by itself." : "Turn it up a little.");
    }
    OptionalDouble leaves =
        swinging()
            ? OptionalDouble.empty()
            : forecast.map(f -> f.minutesToLeave(band)).orElse(OptionalDouble.empty());
    if (leaves.isPresent() && leaves.getAsDouble() < SOON_MINUTES) {
      boolean up = forecast.orElseThrow().perMinute() > 0;
      return new Mood(
          "near",
          "in the band, not for long",
          false,
          up ? "Turn it down a touch." : "Turn it up a touch.");
    }
    if (served >= goal.latestHours()) {
      return new Mood("done", "longer than it should", true, "Take it off and strain it.");
    }
    return served >= goal.usualHours()
        ? new Mood("done", "has had its time", false, "Take it off when it suits you.")
        : new Mood("in", "in the band", false, "Leave it as it is.");
  }

  /** Whether a thermostat swings it within its band. */
  private boolean swinging() {
    return heat.swing()
        .filter(s -> s.low() >= goal.band().lowC() && s.high() <= goal.band().highC())
        .isPresent();
  }

  private String doneWords(double served) {
    if (state.charge().method() == Method.TWO_STAGE) {
      return "It has had its warm start. Now it stands in the dark.";
    }
    return served >= goal.earliestHours()
        ? "Strain it while it is warm."
        : "It has had " + fmt.time(served) + "; it may go on again.";
  }

  private String trend(Optional<Forecast> forecast) {
    if (forecast.isEmpty()) {
      return "";
    }
    if (swinging()) {
      Range swing = heat.swing().orElseThrow();
      return swing.high() - swing.low() < STEADY_C
          ? "steady"
          : "swinging, " + fmt.degrees(swing.low(), swing.high());
    }
    Forecast f = forecast.get();
    OptionalDouble leaves = f.minutesToLeave(goal.band());
    OptionalDouble enters = f.minutesToEnter(goal.band());
    String heads =
        switch (f.heading()) {
          case STEADY -> "steady";
          case RISING -> "rising";
          case FALLING -> "falling";
        };
    if (leaves.isPresent()) {
      return heads + ", leaves the band in " + within(f, f.perMinute() > 0);
    }
    if (enters.isPresent()) {
      return heads + ", in the band in " + within(f, f.perMinute() < 0);
    }
    return f.settlesC().isPresent() && f.heading() != Forecast.Heading.STEADY
        ? heads + ", settling near " + fmt.degrees(f.settlesC().getAsDouble())
        : heads;
  }

  /** Between how many minutes it passes the band's upper or lower end. */
  private String within(Forecast f, boolean upper) {
    double level = upper ? goal.band().highC() : goal.band().lowC();
    Range minutes = f.minutesToWithin(level).orElseThrow();
    double low = Math.max(1, minutes.low());
    return minutes.high() < 1
        ? "a minute"
        : minutes.high() >= 1.2 * low && minutes.high() >= low + 1
            ? fmt.time(low / 60) + " to " + fmt.time(minutes.high() / 60)
            : "about " + fmt.time(low / 60);
  }
}
