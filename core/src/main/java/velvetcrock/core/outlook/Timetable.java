package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.care.Care;
import velvetcrock.core.care.Rhythm;
import velvetcrock.core.care.Task;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Method;
import velvetcrock.core.spirit.SpiritStep;

/**
 * A drawing laid into a household's hours from a begin on (practice): charged, drawn, strained,
 * settled overnight, bottled, and made into what is wanted. Whatever wants hands or eyes falls
 * within waking hours at home; a pot is never left alone, so that a long time on the heat is taken
 * in goes.
 *
 * @param steps in the order of their time
 * @param onHeat when it stands on the heat, in order; empty where it never does
 * @param inJar from charging to straining
 * @param ready when it is finished
 */
public record Timetable(List<Step> steps, List<Span> onHeat, Span inJar, LocalDateTime ready) {
  /** Charging a jar: cutting, weighing, pouring; min. */
  static final int CHARGING_MINUTES = Task.Kind.CHARGE.minutes();

  static final int DAMPENING_MINUTES = Task.Kind.CHARGE.minutes();
  static final int POURING_MINUTES = Task.Kind.POUR.minutes();
  static final int STRAINING_MINUTES = Task.Kind.STRAIN.minutes();
  static final int BOTTLING_MINUTES = Task.Kind.BOTTLE.minutes();

  private static final int HANDLING_MINUTES = 2;
  private static final int LOOKING_MINUTES = Task.Kind.LOOK.minutes();
  private static final int SHAKING_MINUTES = Task.Kind.SHAKE.minutes();

  /** A go on the heat shorter than this is not worth the warming up. */
  private static final int SHORTEST_GO_MINUTES = 120;

  private static final int EVENING_BEFORE_SLEEP_MINUTES = 120;

  /** What follows on bottling. */
  public record Making(int minutes, double setsHours) {
    /** Nothing: it is oil in bottles that is wanted. */
    public static final Making NONE = new Making(0, 0);

    private static final int MELTING_MINUTES = 30;
    private static final int MOST_MINUTES = 240;
    private static final double TINS_SET_HOURS = 4;
    private static final double BARS_SET_HOURS = 2;
    private static final double WHIPPED_HOURS = 3;

    /** What a want asks for once its oil is there (practice). */
    public static Making of(Want want) {
      if (want instanceof Want.Tins tins) {
        boolean whipped = tins.kind() == Firmness.WHIPPED_BUTTER;
        return piece(tins.count(), whipped ? WHIPPED_HOURS : TINS_SET_HOURS);
      } else if (want instanceof Want.Bars bars) {
        return piece(bars.count(), BARS_SET_HOURS);
      } else if (want instanceof Want.Pads pads) {
        return piece(pads.count(), BARS_SET_HOURS);
      } else if (want instanceof Want.Several several) {
        return several.wants().stream()
            .map(Making::of)
            .reduce(
                NONE,
                (a, b) ->
                    new Making(
                        Math.min(MOST_MINUTES, a.minutes + b.minutes),
                        Math.max(a.setsHours, b.setsHours)));
      }
      return NONE;
    }

    private static Making piece(int count, double setsHours) {
      return new Making(Math.min(MOST_MINUTES, MELTING_MINUTES + count), setsHours);
    }
  }

  /** Copies. */
  public Timetable {
    steps = List.copyOf(steps);
    onHeat = List.copyOf(onHeat);
  }

  /** When it is begun. */
  public LocalDateTime begins() {
    return steps.get(0).at();
  }

  /** How often somebody has to look, shake or measure. */
  public int checks() {
    return (int) steps.stream().filter(s -> s.kind() == Step.Kind.CHECK).count();
  }

  /** Hands-on work in all, min. */
  public int handsOnMinutes() {
    return steps.stream().mapToInt(Step::minutes).sum();
  }

  /** The first step of a kind. */
  public Optional<Step> first(Step.Kind kind) {
    return steps.stream().filter(s -> s.kind() == kind).findFirst();
  }

  /**
   * Lays a drawing into the hours.
   *
   * @param begin not before this
   * @param hours how long it draws, h; on the heat where it is heated
   * @return empty where the household's hours have no stretch that is long enough
   */
  public static Optional<Timetable> from(
      LocalDateTime begin, Method method, double hours, Making making, Hours there) {
    return laid(begin, new Laying(method, hours, making, there, true));
  }

  /**
   * The same for what was decided before: where the hours have become too short for it, as if
   * somebody were always there.
   */
  public static Timetable decided(
      LocalDateTime begin, Method method, double hours, Making making, Hours there) {
    return from(begin, method, hours, making, there)
        .or(() -> from(begin, method, hours, making, Hours.ALWAYS))
        .orElseThrow();
  }

  /** The same without the looks and shakings in between, for weighing many begins. */
  public static Optional<Timetable> withoutChecks(
      LocalDateTime begin, Method method, double hours, Making making, Hours there) {
    return laid(begin, new Laying(method, hours, making, there, false));
  }

  private static Optional<Timetable> laid(LocalDateTime begin, Laying laying) {
    try {
      return Optional.of(laying.lay(begin));
    } catch (NoSuchStretch e) {
      return Optional.empty();
    }
  }

  /** The minutes without a break that a method cannot do without. */
  static long unbrokenMinutes(Method method, double hours) {
    return switch (method) {
      case WARM, SIMMER, OVEN -> minutes(hours) + 2L * HANDLING_MINUTES;
      case CROCK -> SHORTEST_GO_MINUTES;
      case TWO_STAGE -> minutes(Infusion.WARM_START_HOURS) + 2L * HANDLING_MINUTES;
      case COLD, SOLAR, SPIRIT -> STRAINING_MINUTES;
    };
  }

  private static long minutes(double hours) {
    return Math.round(hours * 60);
  }

  /** No day has the stretch that is needed. */
  private static final class NoSuchStretch extends RuntimeException {
    private static final long serialVersionUID = 1;

    NoSuchStretch() {
      super(null, null, false, false);
    }
  }

  private static final class Laying {
    private final Method method;
    private final double hours;
    private final Making making;
    private final Hours there;
    private final boolean checked;
    private final List<Step> steps = new ArrayList<>();
    private final List<Span> onHeat = new ArrayList<>();

    Laying(Method method, double hours, Making making, Hours there, boolean checked) {
      this.method = method;
      this.hours = hours;
      this.making = making;
      this.there = there;
      this.checked = checked;
    }

    Timetable lay(LocalDateTime begin) {
      LocalDateTime filled = fill(begin);
      LocalDateTime inJarFrom = steps.get(0).at();
      LocalDateTime drawn = method.heated() ? heat(filled, hours) : stand(filled);
      LocalDateTime strained = does(Step.Kind.STRAIN, drawn, STRAINING_MINUTES);
      LocalDateTime jarFree = strained.plusMinutes(STRAINING_MINUTES);
      LocalDateTime settled = jarFree.plusMinutes(minutes(Care.SETTLES_HOURS));
      LocalDateTime bottled =
          does(Step.Kind.BOTTLE, settled, BOTTLING_MINUTES).plusMinutes(BOTTLING_MINUTES);
      LocalDateTime ready = bottled;
      if (making.minutes() > 0) {
        ready =
            does(Step.Kind.MAKE, bottled, making.minutes())
                .plusMinutes(making.minutes() + minutes(making.setsHours()));
      }
      steps.sort(Comparator.comparing(Step::at).thenComparing(Step::kind));
      return new Timetable(steps, onHeat, new Span(inJarFrom, jarFree), ready);
    }

    /** Herb and oil into the jar; answers from when the oil draws. */
    private LocalDateTime fill(LocalDateTime begin) {
      if (method != Method.SPIRIT) {
        return does(Step.Kind.CHARGE, begin, CHARGING_MINUTES).plusMinutes(CHARGING_MINUTES);
      }
      LocalDateTime dampened = does(Step.Kind.DAMPEN, begin, DAMPENING_MINUTES);
      LocalDateTime rested =
          dampened.plusMinutes(DAMPENING_MINUTES + minutes(SpiritStep.SOONEST_USUAL_HOURS));
      return does(Step.Kind.POUR, rested, POURING_MINUTES).plusMinutes(POURING_MINUTES);
    }

    /** It stands and is looked after; answers when it has had its time. */
    private LocalDateTime stand(LocalDateTime filled) {
      LocalDateTime from =
          method == Method.TWO_STAGE ? heat(filled, Infusion.WARM_START_HOURS) : filled;
      LocalDateTime drawn = filled.plusMinutes(minutes(hours));
      if (!checked) {
        return drawn;
      }
      Rhythm rhythm = Rhythm.of(method);
      LocalDate first = from.toLocalDate();
      int days = (int) ChronoUnit.DAYS.between(first, drawn.toLocalDate());
      for (Rhythm.Visit visit : rhythm.visits(days)) {
        visit(first.plusDays(visit.day()), rhythm.visitsADay(), visit.look(), drawn);
      }
      return drawn;
    }

    private void visit(LocalDate day, int times, boolean look, LocalDateTime until) {
      List<Span> home = there.on(day);
      if (home.isEmpty()) {
        return;
      }
      int minutes = look ? LOOKING_MINUTES : SHAKING_MINUTES;
      LocalDateTime morning = home.get(0).from().plusMinutes(Care.AFTER_WAKING_MINUTES);
      LocalDateTime evening =
          home.get(home.size() - 1).until().minusMinutes(EVENING_BEFORE_SLEEP_MINUTES);
      List<LocalDateTime> wished = new ArrayList<>(List.of(morning));
      if (times > 2) {
        wished.add(day.atTime(LocalTime.NOON));
      }
      if (times > 1) {
        wished.add(evening);
      }
      wished.stream()
          .map(at -> there.next(at, minutes).orElse(at))
          .distinct()
          .filter(at -> at.isBefore(until))
          .forEach(at -> steps.add(new Step(Step.Kind.CHECK, at, minutes)));
    }

    /** On the heat for so long, in goes where it must; answers when it is off for good. */
    private LocalDateTime heat(LocalDateTime from, double heatHours) {
      long left = minutes(heatHours);
      LocalDateTime at = from;
      while (left > 0) {
        long least =
            method == Method.CROCK
                ? Math.min(left + 2L * HANDLING_MINUTES, SHORTEST_GO_MINUTES)
                : left + 2L * HANDLING_MINUTES;
        Span home = there.nextSpan(at, least).orElseThrow(NoSuchStretch::new);
        long go = Math.min(left, home.minutes() - 2L * HANDLING_MINUTES);
        LocalDateTime on = home.from().plusMinutes(HANDLING_MINUTES);
        Span stint = Span.of(on, go);
        steps.add(new Step(Step.Kind.PUT_ON, home.from(), HANDLING_MINUTES));
        if (checked) {
          look(stint);
        }
        steps.add(new Step(Step.Kind.TAKE_OFF, stint.until(), HANDLING_MINUTES));
        onHeat.add(stint);
        left -= go;
        at = stint.until().plusMinutes(HANDLING_MINUTES);
      }
      return at;
    }

    private void look(Span stint) {
      int every = Care.minutesBetweenLooks(method);
      for (LocalDateTime at = stint.from().plusMinutes(every);
          at.isBefore(stint.until());
          at = at.plusMinutes(every)) {
        steps.add(new Step(Step.Kind.CHECK, at, LOOKING_MINUTES));
      }
    }

    private LocalDateTime does(Step.Kind kind, LocalDateTime from, int minutes) {
      LocalDateTime at = there.next(from, minutes).orElseThrow(NoSuchStretch::new);
      steps.add(new Step(kind, at, minutes));
      return at;
    }
  }
}
