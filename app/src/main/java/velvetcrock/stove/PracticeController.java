package velvetcrock.stove;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.HeatStatistics;
import velvetcrock.core.materia.Method;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Choices;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.Formats;
import velvetcrock.web.MethodWords;
import velvetcrock.web.NotFound;

/** The practice pot: trains the hand, needs no herb, and nothing of it is kept. */
@Controller
class PracticeController {
  private static final int MOST_POTS = 200;
  private static final double MINUTE_S = 60;
  private static final double WELL = 0.9;
  private static final double FAIR = 0.7;
  private static final List<Appliance> OFFERED =
      List.of(
          Appliance.GAS_RING,
          Appliance.SLOW_COOKER,
          Appliance.ELECTRIC_PLATE,
          Appliance.DEHYDRATOR,
          Appliance.YOGHURT_MAKER,
          Appliance.OVEN);
  private static final List<Method> GOALS = List.of(Method.WARM, Method.CROCK, Method.SIMMER);

  private final Households households;
  private final CurrentHousehold current;
  private final Clock clock;
  private final Cache<String, PracticePot> pots =
      Caffeine.newBuilder()
          .maximumSize(MOST_POTS)
          .expireAfterAccess(Duration.ofMinutes(30))
          .build();

  PracticeController(Households households, CurrentHousehold current, Clock clock) {
    this.households = households;
    this.current = current;
    this.clock = clock;
  }

  /**
   * The pot as it stands.
   *
   * @param curve its new points
   * @param clock its own time, in words
   * @param scene what is to be seen
   */
  record Out(
      @JsonUnwrapped Curve curve,
      String temperature,
      String clock,
      @JsonUnwrapped Scene scene,
      String mood,
      String moodWords,
      String share,
      boolean done,
      String verdict,
      String detail) {

    /**
     * Its new points.
     *
     * @param hours of each new point
     * @param degrees of each new point, in the household's
     */
    record Curve(List<Double> hours, List<Double> degrees) {}

    /** What is to be seen. */
    record Scene(String knob, boolean windowOpen, boolean waterLow, int waterPercent, String lid) {}
  }

  @GetMapping("/stove/practice")
  String page(@RequestParam @Nullable String pot, Model model) {
    PracticePot playing = pot == null ? null : pots.getIfPresent(key(pot));
    Formats fmt = households.formats(households.current());
    model.addAttribute("appliances", OFFERED);
    model.addAttribute(
        "goals",
        GOALS.stream()
            .map(m -> new Choices.Choice(m.name(), MethodWords.inSentence(m) + band(m, fmt)))
            .toList());
    if (playing != null) {
      model.addAttribute("id", pot);
      model.addAttribute("pot", playing);
      model.addAttribute("out", out(playing, 0, fmt));
      model.addAttribute("low", fmt.inDegrees(playing.goal().band().lowC()));
      model.addAttribute("high", fmt.inDegrees(playing.goal().band().highC()));
      model.addAttribute("ceiling", fmt.inDegrees(playing.goal().ceilingC()));
      model.addAttribute(
          "band", fmt.degrees(playing.goal().band().lowC(), playing.goal().band().highC()));
    }
    return "stove/practice";
  }

  private static String band(Method method, Formats fmt) {
    HeatGoal goal = HeatGoal.of(method, HeatGoal.BATH_CEILING_C);
    return ", " + fmt.degrees(goal.band().lowC(), goal.band().highC());
  }

  @PostMapping("/stove/practice")
  String begin(@RequestParam @Nullable String appliance, @RequestParam @Nullable String goal) {
    Appliance on =
        OFFERED.stream().filter(a -> a.name().equals(appliance)).findFirst().orElse(OFFERED.get(0));
    Method method =
        GOALS.stream().filter(m -> m.name().equals(goal)).findFirst().orElse(GOALS.get(0));
    String id = UUID.randomUUID().toString();
    pots.put(key(id), new PracticePot(on, method, new Random(), clock.instant()));
    return "redirect:/stove/practice?pot=" + id;
  }

  @GetMapping("/stove/practice/{id}")
  @ResponseBody
  Out follow(@PathVariable String id, @RequestParam(defaultValue = "0") int from) {
    PracticePot pot = pot(id);
    pot.follow(clock.instant());
    return out(pot, from, households.formats(households.current()));
  }

  /** Does something to it; without a script, minutes of its time are asked for too. */
  @PostMapping("/stove/practice/{id}")
  String act(
      @PathVariable String id,
      @RequestParam @Nullable String knob,
      @RequestParam @Nullable String act,
      @RequestParam(defaultValue = "0") int minutes) {
    PracticePot pot = pot(id);
    if (knob != null) {
      pot.turn(knob);
    }
    if ("window".equals(act)) {
      pot.shutWindow();
    } else if ("lid".equals(act)) {
      pot.turnLid();
    } else if ("water".equals(act)) {
      pot.topUp();
    }
    if (minutes > 0) {
      pot.run(Math.min(minutes, 60) * MINUTE_S);
    }
    return "redirect:/stove/practice?pot=" + id;
  }

  private PracticePot pot(String id) {
    PracticePot pot = pots.getIfPresent(key(id));
    if (pot == null) {
      throw new NotFound("This practice pot has been cleared away. Begin another.");
    }
    return pot;
  }

  private String key(String id) {
    return current.id() + ":" + id;
  }

  private static Out out(PracticePot pot, int from, Formats fmt) {
    var points = pot.pointsFrom(from);
    double celsius = pot.celsius();
    boolean low = celsius < pot.goal().band().lowC();
    boolean high = celsius > pot.goal().band().highC();
    HeatStatistics stats = pot.begun() ? pot.statistics() : null;
    return new Out(
        new Out.Curve(
            points.stream().map(p -> Math.round(p.hours() * 1e4) / 1e4).toList(),
            points.stream().map(p -> Math.round(fmt.inDegrees(p.celsius()) * 10) / 10.0).toList()),
        String.format(Locale.ROOT, "%.1f", fmt.inDegrees(celsius)),
        fmt.time(pot.hours()),
        new Out.Scene(
            pot.knob(),
            pot.windowOpen(),
            pot.waterLow(),
            (int) Math.round(100 * pot.waterShare()),
            pot.lidded() ? "on" : "off"),
        high ? "out" : low ? "near" : "in",
        high ? "too hot" : low ? "below the band" : "in the band",
        stats == null ? "–" : fmt.percent(stats.inBandFraction()),
        pot.done(),
        stats != null && pot.done() ? verdict(stats) : "",
        stats != null && pot.done() ? detail(stats, fmt) : "");
  }

  private static String verdict(HeatStatistics stats) {
    if (!stats.excursions().isEmpty()) {
      return "It went above its ceiling: a real oil would have paid for it.";
    }
    return stats.inBandFraction() >= WELL
        ? "A steady hand."
        : stats.inBandFraction() >= FAIR
            ? "Well watched, with a few minutes away."
            : "It ran its own way for long. Once more?";
  }

  private static String detail(HeatStatistics stats, Formats fmt) {
    return fmt.percent(stats.inBandFraction())
        + " of six hours in the band, "
        + fmt.time(stats.underHours())
        + " below and "
        + fmt.time(stats.overHours())
        + " above it; hottest "
        + fmt.degrees(stats.peakC())
        + "; it aged as if at "
        + fmt.degrees(stats.meanKineticC())
        + " throughout.";
  }
}
