package velvetcrock.core.care;

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
import velvetcrock.core.care.Task.Kind;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.Window;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.core.spirit.SpiritStep;

/**
 * Today's tasks (practice): visits by the {@link Rhythm}; the level on the first days; straining
 * once the {@link velvetcrock.core.jar.Window} is open, the signs do not speak against it and what
 * has to leave has left. What rests in spirit is looked at once and gets its oil after 12 to 48
 * hours; what has to lose water or spirit is weighed until it has. Days are those of the
 * household's calendar, so that a clock change makes none longer. What was set aside to settle is
 * poured off the day after.
 */
public final class Round {
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

  /** What wants doing for a batch that no reading was taken of. */
  public List<Task> tasks(BatchState state) {
    return tasks(state, 0);
  }

  /**
   * What wants doing for a batch, the most pressing first; empty if nothing does.
   *
   * @param readHours hours on the heat that readings show and its log does not, h
   */
  public List<Task> tasks(BatchState state, double readHours) {
    return switch (state.status()) {
      case RESTING -> resting(Objects.requireNonNull(state.rest()));
      case INFUSING -> infusing(state, readHours);
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
    LocalDate from = Care.smelledFrom(bestBefore, smellFrom, date(bottle.filledAt()));
    BottleState.Check last = bottle.checked();
    LocalDate due = last == null ? from : date(last.at()).plusDays(Care.SMELLED_EVERY_DAYS);
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

  private List<Task> infusing(BatchState state, double readHours) {
    if (state.seen().spoiled()) {
      return List.of(now(Kind.THROW_OUT, 0));
    }
    List<Task> tasks = new ArrayList<>();
    if (Boolean.FALSE.equals(state.seen().covered())) {
      tasks.add(now(Kind.COVER, missingMl(state)));
    }
    Instant onItsLid = state.tended().onItsLidUntil();
    if (onItsLid != null && !now.isBefore(onItsLid)) {
      tasks.add(new Task(Kind.TURN_BACK, date(onItsLid), null, 0));
    } else if (onItsLid == null && Boolean.TRUE.equals(state.seen().floating())) {
      tasks.add(now(Kind.TURN, 0));
    }
    BatchReckoning reckoning = new BatchReckoning(catalogue, state);
    Optional<Task> heat = heat(state, reckoning, readHours);
    heat.filter(t -> t.kind() != Kind.PUT_ON_HEAT).ifPresent(tasks::add);
    strain(state, reckoning, readHours).ifPresent(tasks::add);
    reckoning.leaving().flatMap(l -> weigh(state, l)).ifPresent(tasks::add);
    heat.filter(t -> t.kind() == Kind.PUT_ON_HEAT).ifPresent(tasks::add);
    boolean onceADay = Rhythm.of(state.charge().method()).visitsADay() == 1;
    if (!onceADay || !isToday(state.tended().visitedAt())) {
      tend(state, tasks);
    }
    return List.copyOf(tasks);
  }

  /** The small things of one visit; a jar that stands is visited once a day at most. */
  private void tend(BatchState state, List<Task> tasks) {
    if (state.charge().manner().blended() && state.tended().lookedAt() == null) {
      settle(state).ifPresent(tasks::add);
    }
    topUp(state).ifPresent(tasks::add);
    if (state.tended().onItsLidUntil() == null) {
      shake(state).ifPresent(tasks::add);
    }
    look(state).ifPresent(tasks::add);
  }

  /** Strained when it is ready; on the heat it is taken off first. */
  private Optional<Task> strain(BatchState state, BatchReckoning reckoning, double readHours) {
    if (state.heat().now().isPresent()) {
      return Optional.empty();
    }
    Window window = reckoning.window(zone);
    Window.Served served = reckoning.served(readHours, now);
    Readiness.Verdict verdict = Readiness.of(state, reckoning, served, today, zone).verdict();
    if (verdict != Readiness.Verdict.READY && verdict != Readiness.Verdict.OVERDUE) {
      return Optional.empty();
    }
    LocalDate open = window.earliestOn().filter(day -> !day.isAfter(today)).orElse(lastOff(state));
    LocalDate until = window.latestOn().orElse(open.plusDays(1));
    return Optional.of(new Task(Kind.STRAIN, open, until, 0));
  }

  /** The day on which it came off the heat last; today where nobody logged it. */
  private LocalDate lastOff(BatchState state) {
    List<BatchState.Stint> stints = state.heat().stints();
    return stints.isEmpty() || stints.get(stints.size() - 1).off() == null
        ? today
        : date(stints.get(stints.size() - 1).off());
  }

  /** What stands is shaken by its rhythm; what spirit leaves, several times a day. */
  private Optional<Task> shake(BatchState state) {
    Rhythm rhythm = Rhythm.of(state.charge().method());
    Instant last = state.tended().shakenAt();
    if (rhythm.visitsADay() == 0) {
      return Optional.empty();
    }
    if (rhythm.visitsADay() > 1) {
      return last == null || !now.isBefore(last.plus(Care.SHAKEN_AGAIN))
          ? Optional.of(now(Kind.SHAKE, 0))
          : Optional.empty();
    }
    return every(rhythm.shakenEvery(state.day(today)), state, last, Kind.SHAKE);
  }

  /** Looked at by its rhythm, and on the day until which it was left longer. */
  private Optional<Task> look(BatchState state) {
    BatchState.Left left = state.left();
    Instant seen = lookedOrSmelled(state);
    if (left != null && !now.isBefore(left.until())) {
      LocalDate day = date(left.until());
      if (seen == null || date(seen).isBefore(day)) {
        return Optional.of(new Task(Kind.LOOK, day, null, 0));
      }
    }
    Rhythm rhythm = Rhythm.of(state.charge().method());
    return every(rhythm.lookedAtEvery(state.day(today)), state, seen, Kind.LOOK);
  }

  /**
   * What is on the heat is looked after there: its bath filled, and it taken off when it has had
   * enough. What is to be infused warm is put on, for as long as nobody has.
   */
  private Optional<Task> heat(BatchState state, BatchReckoning reckoning, double readHours) {
    Method method = state.charge().method();
    Optional<BatchState.Stint> stint = state.heat().now();
    if (stint.isPresent()) {
      if (stint.get().topUpBy().filter(by -> !now.isBefore(by)).isPresent()) {
        return Optional.of(now(Kind.FILL_BATH, 0));
      }
      boolean served =
          (method.heated() || method == Method.TWO_STAGE)
              && state.heat().hours(now) >= wantedHours(reckoning)
              && (state.left() == null || !now.isBefore(state.left().until()));
      return served ? Optional.of(now(Kind.OFF_HEAT, 0)) : Optional.empty();
    }
    boolean waits =
        (method == Method.TWO_STAGE || method.heated())
            && !reckoning.served(readHours, now).begun();
    return waits ? Optional.of(now(Kind.PUT_ON_HEAT, 0)) : Optional.empty();
  }

  /** Hours it is to have on the heat: the usual ones, or the longest while water is leaving. */
  static double wantedHours(BatchReckoning reckoning) {
    HeatGoal goal = reckoning.heatGoal();
    return reckoning.holdsWater() ? goal.latestHours() : goal.usualHours();
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
            ? !now.isBefore(last.plus(Care.WEIGHED_AGAIN))
            : date(last).isBefore(today);
    return due ? Optional.of(now(Kind.WEIGH, 0)) : Optional.empty();
  }

  /** The day after a slurry was poured: only once it has settled does its level mean anything. */
  private Optional<Task> settle(BatchState state) {
    LocalDate due = state.charge().begun().chargedOn().plusDays(1);
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

  /** The level: on the first days, and after herb stood out of the oil and was shaken under. */
  private Optional<Task> topUp(BatchState state) {
    if (state.seen().lookAgain()) {
      return Optional.of(now(Kind.TOP_UP, 0));
    }
    long day = state.day(today);
    boolean seenTo =
        isToday(state.tended().toppedUpAt())
            || isToday(state.tended().levelAt())
            || isToday(state.tended().lookedAt());
    if (day < 1
        || day > Care.SWELLS_DAYS
        || seenTo
        || Boolean.FALSE.equals(state.seen().covered())) {
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
    LocalDate since = last == null ? state.charge().begun().chargedOn() : date(last);
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
