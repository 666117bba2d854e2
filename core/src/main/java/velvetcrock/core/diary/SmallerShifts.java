package velvetcrock.core.diary;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import ai.timefold.solver.core.api.score.calculator.EasyScoreCalculator;
import ai.timefold.solver.core.api.solver.SolverConfigOverride;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.ChangeMoveSelectorConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.score.director.ScoreDirectorFactoryConfig;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Searches for smaller shifts with a general solver (Timefold, late acceptance): no clash first, no
 * plan late second, the sum of all shifts third.
 */
final class SmallerShifts {
  /**
   * Moves tried for each plan that moves: four times as many make the shifts of five plans half a
   * percent less.
   */
  private static final long MOVES_A_PLAN = 400;

  /** Moves tried at most; enough for forty plans, and well within a second. */
  private static final long MOST_MOVES = 4_000;

  /** A guard for a slow machine. */
  private static final Duration MOST_TIME = Duration.ofMillis(1500);

  /** Configuring it takes longer than a search among a few plans. */
  private static final SolverFactory<Plans> SEARCHES =
      SolverFactory.create(
          new SolverConfig()
              .withSolutionClass(Plans.class)
              .withEntityClasses(Line.class)
              .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
              .withRandomSeed(0L)
              .withScoreDirectorFactory(
                  new ScoreDirectorFactoryConfig().withEasyScoreCalculatorClass(Weighing.class))
              .withPhases(
                  // Two plans never exchange their begins: each has its own to choose from.
                  new LocalSearchPhaseConfig()
                      .withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE)
                      .withMoveSelectorConfig(new ChangeMoveSelectorConfig()))
              .withTerminationConfig(new TerminationConfig().withSpentLimit(MOST_TIME)));

  private final Weight weight;
  private final List<Job> jobs;
  private final Map<String, List<Placing>> placings;

  SmallerShifts(Weight weight, List<Job> jobs, Map<String, List<Placing>> placings) {
    this.weight = weight;
    this.jobs = jobs;
    this.placings = placings;
  }

  /**
   * Improves on where jobs were placed; leaves them there where nothing better is found.
   *
   * @return in the order of the jobs
   */
  List<Booking> improve(Map<String, Placing> placed) {
    Map<String, Placing> found = new HashMap<>(placed);
    List<Job> open = jobs.stream().filter(job -> placings.get(job.id()).size() > 1).toList();
    if (!open.isEmpty()) {
      Plans plans = new Plans();
      plans.weight = weight;
      plans.decided = placed.values().stream().filter(p -> !open.contains(p.job())).toList();
      plans.lines =
          open.stream().map(job -> new Line(placings.get(job.id()), placed.get(job.id()))).toList();
      search(plans).lines.forEach(l -> found.put(l.placing().job().id(), l.placing()));
    }
    return jobs.stream().map(job -> found.get(job.id()).booking()).toList();
  }

  private static Plans search(Plans plans) {
    return SEARCHES
        .buildSolver(
            new SolverConfigOverride<Plans>()
                .withTerminationConfig(
                    new TerminationConfig()
                        .withMoveCountLimit(Math.min(MOST_MOVES, MOVES_A_PLAN * plans.lines.size()))
                        .withSpentLimit(MOST_TIME)))
        .solve(plans);
  }

  /** The plans that move, with where they are. */
  @PlanningSolution
  public static class Plans {
    @PlanningEntityCollectionProperty List<Line> lines = List.of();

    @PlanningScore @Nullable HardMediumSoftLongScore score;

    /** Shared by all copies: it only reads. */
    @Nullable Weight weight;

    /** Those that stay where they are, shared too. */
    List<Placing> decided = List.of();

    /** For the solver. */
    public Plans() {}
  }

  /** A plan with where it is. */
  @PlanningEntity
  public static class Line {
    @ValueRangeProvider private List<Placing> range = List.of();

    @PlanningVariable private @Nullable Placing placing;

    /** For the solver. */
    public Line() {}

    Line(List<Placing> range, Placing placing) {
      this.range = range;
      this.placing = placing;
    }

    Placing placing() {
      return Objects.requireNonNull(placing);
    }
  }

  /** Weighs a state of the plans. */
  public static class Weighing implements EasyScoreCalculator<Plans, HardMediumSoftLongScore> {
    /** For the solver. */
    public Weighing() {}

    @Override
    public HardMediumSoftLongScore calculateScore(Plans plans) {
      List<Placing> placings = new ArrayList<>(plans.decided.size() + plans.lines.size());
      placings.addAll(plans.decided);
      long late = 0;
      long shift = 0;
      for (Line line : plans.lines) {
        Placing placing = line.placing();
        late += placing.lateMinutes();
        shift += placing.shiftMinutes();
        placings.add(placing);
      }
      long clash = Objects.requireNonNull(plans.weight).of(placings);
      return HardMediumSoftLongScore.of(-clash, -late, -shift);
    }
  }
}
