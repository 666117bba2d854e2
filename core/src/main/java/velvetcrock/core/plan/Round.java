package velvetcrock.core.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.plan.Task.Kind;

/**
 * Today's tasks for a batch (practice): shake daily in the first week and weekly after; look and
 * smell every third day in the first two weeks and weekly after; see to the level on days 1–3;
 * strain once the window is open. Days are those of the household's calendar, so that a clock
 * change makes none longer.
 */
public final class Round {
  private static final int SHAKE_DAILY_UNTIL = 7;
  private static final int LOOK_OFTEN_UNTIL = 14;
  private static final int TOP_UP_UNTIL = 3;
  private static final int OFTEN_LOOK_DAYS = 3;
  private static final int WEEK = 7;

  private final Catalogue catalogue;
  private final ZoneId zone;
  private final LocalDate today;

  /** A round on one day. */
  public Round(Catalogue catalogue, ZoneId zone, LocalDate today) {
    this.catalogue = catalogue;
    this.zone = zone;
    this.today = today;
  }

  /** What wants doing for a batch, the most pressing first; empty if nothing does. */
  public List<Task> tasks(BatchState state) {
    return switch (state.status()) {
      case INFUSING -> infusing(state);
      case STRAINED -> List.of(now(Kind.BOTTLE, state.unbottledMl()));
      case BOTTLED ->
          state.bottles().stream().allMatch(b -> b.capped() || b.goneAt() != null)
              ? List.of()
              : List.of(now(Kind.CAP, 0));
      case FINISHED, THROWN_OUT -> List.of();
    };
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
    if (!today.isBefore(state.earliest())) {
      tasks.add(new Task(Kind.STRAIN, state.earliest(), state.latest(), 0));
    }
    topUp(state).ifPresent(tasks::add);
    every(
            state.day(today) <= SHAKE_DAILY_UNTIL ? 1 : WEEK,
            state,
            state.tended().shakenAt(),
            Kind.SHAKE)
        .ifPresent(tasks::add);
    every(
            state.day(today) <= LOOK_OFTEN_UNTIL ? OFTEN_LOOK_DAYS : WEEK,
            state,
            lookedOrSmelled(state),
            Kind.LOOK)
        .ifPresent(tasks::add);
    return List.copyOf(tasks);
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
