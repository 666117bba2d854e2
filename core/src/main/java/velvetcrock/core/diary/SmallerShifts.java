package velvetcrock.core.diary;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import ai.timefold.solver.core.api.score.calculator.EasyScoreCalculator;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.score.director.ScoreDirectorFactoryConfig;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Searches for smaller shifts with a general solver (Timefold, late acceptance): no clash first, no
 * plan late second, the sum of all shifts third.
 */
final class SmallerShifts {
  /** Moves tried; enough for forty plans, and well within a second. */
  private static final long MOST_MOVES = 12_000;

  /** A guard for a slow machine. */
  private static final Duration MOST_TIME = Duration.ofMillis(1200);

  private final Clashes clashes;
  private final Map<String, List<Diary.Placing>> placings;

  SmallerShifts(Clashes clashes, Map<String, List<Diary.Placing>> placings) {
    this.clashes = clashes;
    this.placings = placings;
  }

  /** Improves on bookings; answers them as they are where nothing better is found. */
  List<Booking> improve(List<Booking> bookings) {
    Week week = new Week();
    week.clashes = clashes;
    week.entries = new ArrayList<>();
    for (Booking booking : bookings) {
      List<Diary.Placing> range = placings.get(booking.job().id());
      Diary.Placing at =
          range.stream()
              .filter(
                  p ->
                      p.timetable().begins().equals(booking.timetable().begins())
                          && Objects.equals(p.heater(), booking.heater()))
              .findFirst()
              .orElseThrow();
      week.entries.add(new Line(booking.job(), range, at));
    }
    SolverConfig config =
        new SolverConfig()
            .withSolutionClass(Week.class)
            .withEntityClasses(Line.class)
            .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
            .withRandomSeed(0L)
            .withScoreDirectorFactory(
                new ScoreDirectorFactoryConfig().withEasyScoreCalculatorClass(Weighing.class))
            .withPhases(
                new LocalSearchPhaseConfig().withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE))
            .withTerminationConfig(
                new TerminationConfig().withMoveCountLimit(MOST_MOVES).withSpentLimit(MOST_TIME));
    Week solved = SolverFactory.<Week>create(config).buildSolver().solve(week);
    return solved.bookings();
  }

  /** All plans with where they are. */
  @PlanningSolution
  public static class Week {
    @PlanningEntityCollectionProperty List<Line> entries = List.of();

    @PlanningScore @Nullable HardMediumSoftLongScore score;

    /** Shared by all copies: it only reads. */
    @Nullable Clashes clashes;

    /** For the solver. */
    public Week() {}

    List<Booking> bookings() {
      List<Booking> all = new ArrayList<>(entries.size());
      for (Line line : entries) {
        all.add(line.booking());
      }
      return all;
    }
  }

  /** A plan with where it is. */
  @PlanningEntity
  public static class Line {
    private @Nullable Job job;

    @ValueRangeProvider private List<Diary.Placing> range = List.of();

    @PlanningVariable private Diary.@Nullable Placing placing;

    /** For the solver. */
    public Line() {}

    Line(Job job, List<Diary.Placing> range, Diary.Placing placing) {
      this.job = job;
      this.range = range;
      this.placing = placing;
    }

    Booking booking() {
      Diary.Placing at = Objects.requireNonNull(placing);
      return new Booking(Objects.requireNonNull(job), at.timetable(), at.heater());
    }
  }

  /** Weighs a state of the plans. */
  public static class Weighing implements EasyScoreCalculator<Week, HardMediumSoftLongScore> {
    /** For the solver. */
    public Weighing() {}

    @Override
    public HardMediumSoftLongScore calculateScore(Week week) {
      List<Booking> bookings = week.bookings();
      long late = 0;
      long shift = 0;
      for (Booking booking : bookings) {
        late += booking.lateMinutes();
        shift += booking.shiftMinutes();
      }
      long clash = Objects.requireNonNull(week.clashes).weight(bookings);
      return HardMediumSoftLongScore.of(-clash, -late, -shift);
    }
  }
}
