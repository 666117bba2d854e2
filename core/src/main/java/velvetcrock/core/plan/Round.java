package velvetcrock.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.core.plan.Task.Kind;
import velvetcrock.core.spirit.SpiritStep;

/**
 * Today's tasks for a batch (practice): shake daily in the first week and weekly after; look and
 * smell every third day in the first two weeks and weekly after; see to the level on days 1–3;
 * strain once the window is open and water that has to leave has left. What rests in spirit is
 * looked at once and gets its oil after 12 to 48 hours; what has to lose water or spirit is weighed
 * until it has. Days are those of the household's calendar, so that a clock change makes none
 * longer. What was set aside to settle is poured off the day after. A bottle is smelled at every
 * second week from four weeks before its date, or from the age at which the household's own turned.
 */
public final class Round {
  private static final int SHAKE_DAILY_UNTIL = 7;
  private static final int LOOK_OFTEN_UNTIL = 14;
  private static final int TOP_UP_UNTIL = 3;
  private static final int OFTEN_LOOK_DAYS = 3;
  private static final int WEEK = 7;

  /** So long before its date a bottle begins to be smelled at, days. */
  public static final int SMELL_BEFORE_DAYS = 28;

  private static final int SMELL_EVERY_DAYS = 14;

  static final Duration SHAKE_SEVERAL = Duration.ofHours(5);
  static final Duration WEIGH_ON_HEAT = Duration.ofHours(1);

  private final Catalogue catalogue;
  private final ZoneId zone;
  private final Instant now;
  private final LocalDate today;

  /** A round at a moment. */
  public Round(Catalogue catalogue, ZoneId zone, Instant now) {
    this.catalogue = catalogue;
    this.zone = zone;
    this.now = now;
    this.today = now.atZone(zone).toLocalDate();
  }

  /** What wants doing for a batch, the most pressing first; empty if nothing does. */
  public List<Task> tasks(BatchState state) {
    return switch (state.status()) {
      case RESTING -> resting(Objects.requireNonNull(state.rest()));
      case INFUSING -> infusing(state);
      case STRAINED -> strained(state);
      case BOTTLED ->
          state.bottles().stream().allMatch(b -> b.capped() || b.goneAt() != null)
              ? List.of()
              : List.of(now(Kind.CAP, 0));
      case FINISHED, THROWN_OUT -> List.of();
    };
  }

  /** What was set aside to settle is let stand until the next day. */
  private List<Task> strained(BatchState state) {
    Instant at = Objects.requireNonNull(state.strainedAt());
    boolean settles = Objects.requireNonNull(state.strained()).how().settles();
    if (settles && !Boolean.TRUE.equals(state.remains().settled())) {
      LocalDate due = date(at).plusDays(1);
      return today.isBefore(due)
          ? List.of()
          : List.of(new Task(Kind.DECANT, due, due.plusDays(1), 0));
    }
    return List.of(now(Kind.BOTTLE, new BatchReckoning(catalogue, state).unbottledMl()));
  }

  /**
   * What wants doing for a bottle.
   *
   * @param bestBefore its date
   * @param smellFrom an earlier day from which to smell at it, by what others like it did; may be
   *     null
   */
  public Optional<Task> bottle(
      BottleState bottle, LocalDate bestBefore, @Nullable LocalDate smellFrom) {
    if (bottle.goneAt() != null) {
      return Optional.empty();
    }
    if (bottle.spoiled()) {
      return Optional.of(now(Kind.THROW_OUT, 0));
    }
    if (today.isAfter(bestBefore)) {
      return Optional.of(new Task(Kind.PAST_DATE, bestBefore, bestBefore, 0));
    }
    LocalDate near = bestBefore.minusDays(SMELL_BEFORE_DAYS);
    LocalDate from = smellFrom != null && smellFrom.isBefore(near) ? smellFrom : near;
    BottleState.Check last = bottle.checked();
    LocalDate due = last == null ? from : date(last.at()).plusDays(SMELL_EVERY_DAYS);
    return today.isBefore(from) || today.isBefore(due)
        ? Optional.empty()
        : Optional.of(new Task(Kind.SMELL, due.isBefore(from) ? from : due, null, 0));
  }

  private List<Task> resting(BatchState.Rest rest) {
    List<Task> tasks = new ArrayList<>();
    Instant usual = rest.since().plus(hours(SpiritStep.SOONEST_USUAL_HOURS));
    if (!now.isBefore(usual)) {
      Instant latest = rest.since().plus(hours(SpiritStep.LATEST_HOURS));
      tasks.add(new Task(Kind.POUR, date(usual), date(latest), 0));
    }
    if (!Boolean.TRUE.equals(rest.even())) {
      tasks.add(now(Kind.DAMP, 0));
    }
    return tasks;
  }

  private List<Task> infusing(BatchState state) {
    if (state.seen().spoiled()) {
      return List.of(now(Kind.THROW_OUT, 0));
    }
    List<Task> tasks = new ArrayList<>();
    if (Boolean.FALSE.equals(state.seen().covered())) {
      tasks.add(now(Kind.COVER, missingMl(state)));
    }
    if (Boolean.TRUE.equals(state.seen().floating())) {
      tasks.add(now(Kind.TURN, 0));
    }
    Optional<BatchReckoning.Leaving> leaving = new BatchReckoning(catalogue, state).leaving();
    boolean wet = leaving.map(BatchReckoning.Leaving::wet).orElse(false);
    boolean byHours = state.charge().method().heated() && !state.heat().stints().isEmpty();
    Optional<Task> heat = heat(state, wet);
    heat.filter(t -> t.kind() != Kind.PUT_ON_HEAT).ifPresent(tasks::add);
    if (byHours) {
      byHours(state, wet).ifPresent(tasks::add);
    } else if (!today.isBefore(state.earliest()) && (!wet || today.isAfter(state.latest()))) {
      tasks.add(new Task(Kind.STRAIN, state.earliest(), state.latest(), 0));
    }
    leaving.flatMap(l -> weigh(state, l)).ifPresent(tasks::add);
    heat.filter(t -> t.kind() == Kind.PUT_ON_HEAT).ifPresent(tasks::add);
    if (state.charge().manner().blended() && state.tended().lookedAt() == null) {
      settle(state).ifPresent(tasks::add);
    }
    topUp(state).ifPresent(tasks::add);
    shake(state).ifPresent(tasks::add);
    every(
            state.day(today) <= LOOK_OFTEN_UNTIL ? OFTEN_LOOK_DAYS : WEEK,
            state,
            lookedOrSmelled(state),
            Kind.LOOK)
        .ifPresent(tasks::add);
    return List.copyOf(tasks);
  }

  /**
   * A jar that spirit leaves is shaken several times a day, any other daily and later weekly; what
   * stands on the heat is not shaken.
   */
  private Optional<Task> shake(BatchState state) {
    if (state.charge().method().heated()) {
      return Optional.empty();
    }
    Instant last = state.tended().shakenAt();
    if (state.charge().method() == Method.SPIRIT) {
      return last == null || !now.isBefore(last.plus(SHAKE_SEVERAL))
          ? Optional.of(now(Kind.SHAKE, 0))
          : Optional.empty();
    }
    return every(state.day(today) <= SHAKE_DAILY_UNTIL ? 1 : WEEK, state, last, Kind.SHAKE);
  }

  /**
   * What is on the heat is looked after there: its bath filled, and it taken off when it has had
   * enough. A method with a warm start, or a warm one charged today, is put on first.
   */
  private Optional<Task> heat(BatchState state, boolean wet) {
    Method method = state.charge().method();
    BatchState.Heat heat = state.heat();
    Optional<BatchState.Stint> stint = heat.now();
    if (stint.isPresent()) {
      if (stint.get().topUpBy().filter(by -> !now.isBefore(by)).isPresent()) {
        return Optional.of(now(Kind.FILL_BATH, 0));
      }
      boolean served = (method.heated() || method == Method.TWO_STAGE) && served(state, wet);
      return served ? Optional.of(now(Kind.OFF_HEAT, 0)) : Optional.empty();
    }
    boolean waits =
        heat.stints().isEmpty()
            && (method == Method.TWO_STAGE || method.heated() && today.isBefore(state.earliest()));
    return waits ? Optional.of(now(Kind.PUT_ON_HEAT, 0)) : Optional.empty();
  }

  /** Whether it has had its time: the usual one, or the longest while water is still leaving. */
  private boolean served(BatchState state, boolean wet) {
    HeatGoal goal = new BatchReckoning(catalogue, state).heatGoal();
    return state.heat().hours(now) >= (wet ? goal.latestHours() : goal.usualHours());
  }

  /** Strained once it has had its hours: off the heat from the earliest on, late by days after. */
  private Optional<Task> byHours(BatchState state, boolean wet) {
    HeatGoal goal = new BatchReckoning(catalogue, state).heatGoal();
    boolean ready =
        state.heat().now().isEmpty() && !wet && state.heat().hours(now) >= goal.earliestHours();
    if (!ready) {
      return Optional.empty();
    }
    List<BatchState.Stint> stints = state.heat().stints();
    Instant off = Objects.requireNonNull(stints.get(stints.size() - 1).off());
    return Optional.of(new Task(Kind.STRAIN, date(off), date(off).plusDays(1), 0));
  }

  /** What loses water or spirit is weighed at once, then daily; on heat every hour. */
  private Optional<Task> weigh(BatchState state, BatchReckoning.Leaving leaving) {
    if (leaving.done()) {
      return Optional.empty();
    }
    List<BatchState.Weighed> weighings = state.weighings();
    if (weighings.isEmpty()) {
      return Optional.of(now(Kind.WEIGH, 0));
    }
    Instant last = weighings.get(weighings.size() - 1).at();
    boolean due =
        state.charge().method().heated()
            ? !now.isBefore(last.plus(WEIGH_ON_HEAT))
            : date(last).isBefore(today);
    return due ? Optional.of(now(Kind.WEIGH, 0)) : Optional.empty();
  }

  /** The day after a slurry was poured: only once it has settled does its level mean anything. */
  private Optional<Task> settle(BatchState state) {
    LocalDate due = state.charge().chargedOn().plusDays(1);
    return due.isAfter(today) ? Optional.empty() : Optional.of(new Task(Kind.SETTLE, due, null, 0));
  }

  private static Duration hours(double hours) {
    return Duration.ofMinutes(Math.round(hours * 60));
  }

  /** The earlier of the last look and the last smell: both belong to it. */
  private static @Nullable Instant lookedOrSmelled(BatchState state) {
    Instant looked = state.tended().lookedAt();
    Instant smelled = state.tended().smelledAt();
    if (looked == null || smelled == null) {
      return null;
    }
    return looked.isBefore(smelled) ? looked : smelled;
  }

  private Optional<Task> topUp(BatchState state) {
    long day = state.day(today);
    boolean seenTo = isToday(state.tended().toppedUpAt()) || isToday(state.tended().lookedAt());
    if (day < 1 || day > TOP_UP_UNTIL || seenTo || Boolean.FALSE.equals(state.seen().covered())) {
      return Optional.empty();
    }
    double expected = new BatchReckoning(catalogue, state).charge().topUpMl() - state.toppedUpMl();
    return expected < 1 ? Optional.empty() : Optional.of(now(Kind.TOP_UP, expected));
  }

  private double missingMl(BatchState state) {
    Charge charge = new BatchReckoning(catalogue, state).charge();
    return Math.max(charge.shortMl(), charge.topUpMl() - state.toppedUpMl());
  }

  private Optional<Task> every(int days, BatchState state, @Nullable Instant last, Kind kind) {
    LocalDate since = last == null ? state.charge().chargedOn() : date(last);
    LocalDate due = since.plusDays(days);
    return due.isAfter(today) ? Optional.empty() : Optional.of(new Task(kind, due, null, 0));
  }

  private boolean isToday(@Nullable Instant at) {
    return at != null && date(at).equals(today);
  }

  private Task now(Kind kind, double amountMl) {
    return new Task(kind, today, null, amountMl);
  }

  private LocalDate date(Instant at) {
    return at.atZone(zone).toLocalDate();
  }
}
