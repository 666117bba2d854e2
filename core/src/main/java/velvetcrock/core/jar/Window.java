package velvetcrock.core.jar;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Speed;

/**
 * When a jar may be strained: the one place that says so.
 *
 * <ol>
 *   <li>What is drawn on the heat counts hours on it, from when it is put on; before that its
 *       window has not begun, whatever the calendar says.
 *   <li>Everything else counts days: from the charging, or, through spirit, from the day on which
 *       the oil followed.
 *   <li>A jar of a trial that is told apart by its day counts days to that day.
 *   <li>One that somebody decided to leave longer may be strained from the day that they said.
 * </ol>
 *
 * @param byHours whether it counts hours on the heat; else days
 * @param from the day from which days count; null where it counts hours, or before its oil
 * @param earliest from then on it may be strained, h or days
 * @param usual then it usually is, h or days
 * @param latest by then it should be, h or days
 */
public record Window(
    boolean byHours, @Nullable LocalDate from, double earliest, double usual, double latest) {
  /** A trial's jar is late this many days after its day: later, and it tells of other weeks. */
  private static final int DAYS_AFTER_AIM = 3;

  /** What was left longer on purpose is late this many days after the day that was said. */
  private static final int DAYS_AFTER_LEFT = 3;

  private static final double HOURS_PER_DAY = 24;

  /** Days in the fridge of fresh herb for eating (common practice). */
  private static final int EATEN_EARLIEST = 1;

  private static final int EATEN_USUAL = 2;
  private static final int EATEN_LATEST = 3;

  /** Where in its window a jar is. */
  public enum Stage {
    /** It has not begun: not on the heat yet, or its oil is still to follow. */
    NOT_BEGUN,
    /** Before it may be strained. */
    EARLY,
    /** It may be strained. */
    OPEN,
    /** It has had its usual time. */
    USUAL,
    /** It should have been strained. */
    PAST
  }

  /** How long a jar has served: hours on the heat, if it was ever put on. */
  public record Served(boolean begun, double hours) {
    /** Never on the heat. */
    public static final Served NOT_YET = new Served(false, 0);
  }

  /**
   * The window of a jar that is charged on a day, as it is before anything happened to it.
   *
   * @param goal its heat's, which knows the hours
   * @param freshForEating whether it is fresh or wilted herb for eating, which stands in the fridge
   *     for days, however it is charged
   */
  public static Window of(
      Method method, LocalDate chargedOn, HeatGoal goal, boolean freshForEating) {
    if (freshForEating) {
      return days(chargedOn, EATEN_EARLIEST, EATEN_USUAL, EATEN_LATEST);
    }
    return method.heated()
        ? hours(goal)
        : days(chargedOn, method.earliestDays(), method.usualDays(), method.latestDays());
  }

  /**
   * The window of a jar.
   *
   * @param zone the household's, by which days count
   */
  static Window of(BatchState state, HeatGoal goal, ZoneId zone) {
    Charged charge = state.charge();
    Optional<Integer> aim = charge.aimDays();
    if (aim.isPresent()) {
      int day = aim.get();
      return days(charge.begun().chargedOn(), day, day, day + DAYS_AFTER_AIM);
    }
    Window window = of(charge.method(), charge.begun().chargedOn(), goal, charge.freshForEating());
    BatchState.Rest rest = state.rest();
    if (rest != null) {
      LocalDate poured =
          rest.pouredAt() == null ? null : rest.pouredAt().atZone(zone).toLocalDate();
      window = new Window(window.byHours, poured, window.earliest, window.usual, window.latest);
    }
    BatchState.Left left = state.left();
    return left == null || charge.freshForEating()
        ? window
        : window.leftUntil(left.until().atZone(zone).toLocalDate());
  }

  /** The same, but not before a day that somebody decided on, where it counts days. */
  private Window leftUntil(LocalDate day) {
    if (byHours || from == null) {
      return this;
    }
    double days = Math.max(1, java.time.temporal.ChronoUnit.DAYS.between(from, day));
    return new Window(
        false,
        from,
        Math.max(earliest, days),
        Math.max(usual, days),
        Math.max(latest, days + DAYS_AFTER_LEFT));
  }

  /**
   * The same for a herb that is known to give faster or slower here. Only days move, and never past
   * the latest: hours on the heat are bounded by what heat does to the oil, a trial's day and the
   * days of fresh herb for eating by what they are for.
   */
  public Window at(Speed speed) {
    boolean fixed = byHours || latest <= EATEN_LATEST || earliest == usual;
    return fixed || !speed.moves()
        ? this
        : new Window(false, from, speed.days(earliest, latest), speed.days(usual, latest), latest);
  }

  private static Window hours(HeatGoal goal) {
    return new Window(true, null, goal.earliestHours(), goal.usualHours(), goal.latestHours());
  }

  private static Window days(LocalDate from, int earliest, int usual, int latest) {
    return new Window(false, from, earliest, usual, latest);
  }

  /** The first day on which it may be strained; empty where it counts hours or has no oil yet. */
  public Optional<LocalDate> earliestOn() {
    return on(earliest);
  }

  /** The day on which it usually is. */
  public Optional<LocalDate> usualOn() {
    return on(usual);
  }

  /** The last day of its window. */
  public Optional<LocalDate> latestOn() {
    return on(latest);
  }

  private Optional<LocalDate> on(double days) {
    return byHours || from == null ? Optional.empty() : Optional.of(from.plusDays((long) days));
  }

  /** A day by which it should have been strained in any case, if it is begun on a day. */
  public LocalDate doneBy(LocalDate begun) {
    return latestOn()
        .orElseGet(
            () -> begun.plusDays((long) Math.ceil(byHours ? latest / HOURS_PER_DAY : latest)));
  }

  /**
   * How far into it a jar is, in its own unit.
   *
   * @param today by the household's calendar
   */
  public double at(LocalDate today, Served served) {
    if (byHours) {
      return served.hours();
    }
    return from == null ? 0 : Math.max(0, java.time.temporal.ChronoUnit.DAYS.between(from, today));
  }

  /** Where in it a jar is. */
  public Stage stage(LocalDate today, Served served) {
    if (byHours ? !served.begun() : from == null) {
      return Stage.NOT_BEGUN;
    }
    double at = at(today, served);
    if (at > latest) {
      return Stage.PAST;
    }
    return at < earliest ? Stage.EARLY : at < usual ? Stage.OPEN : Stage.USUAL;
  }
}
