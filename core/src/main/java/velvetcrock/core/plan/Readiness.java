package velvetcrock.core.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.materia.Method;

/**
 * Whether an infusion is ready to be strained, and what speaks for and against it (practice).
 *
 * <ol>
 *   <li>Spoiled is lost, whatever else.
 *   <li>Past the last day or hour of its window it is overdue.
 *   <li>While water has yet to leave it waits.
 *   <li>Within the window it is ready unless more signs among pull, colour, herb and smell speak
 *       against than for.
 *   <li>Before the window it waits, unless at least three of those speak for and none against.
 * </ol>
 *
 * @param signs time first, then water where some has to leave, pull, colour, herb and smell
 */
public record Readiness(Verdict verdict, List<Sign> signs) {
  /** A pull from which little is left to gain. */
  private static final double WELL_DRAWN = 0.8;

  /** A gain in the next week, or hour on the heat, that is not worth waiting for. */
  private static final double SMALL_GAIN = 0.02;

  /** A gain in the next week, or hour, that is. */
  private static final double LARGE_GAIN = 0.1;

  private static final int FOR_BEFORE_TIME = 3;
  private static final long WEEK_SECONDS = 7L * 24 * 3600;
  private static final long HOUR_SECONDS = 3600;

  /** What follows from the signs. */
  public enum Verdict {
    /** Not yet. */
    WAIT,
    /** It may be strained. */
    READY,
    /** It should have been. */
    OVERDUE,
    /** It is lost. */
    LOST
  }

  /** What is looked at. */
  public enum Aspect {
    /** Time served against its window. */
    TIME,
    /** Water or spirit that has to leave. */
    WATER,
    /** The reckoned pull. */
    PULL,
    /** The last changes of colour. */
    COLOUR,
    /** How the herb looks. */
    HERB,
    /** How it smells. */
    SMELL
  }

  /** What a sign says about straining now. */
  public enum Says {
    /** Strain it. */
    YES,
    /** Wait. */
    NO,
    /** Neither. */
    EITHER,
    /** Nobody has looked. */
    UNKNOWN
  }

  /** One sign. */
  public record Sign(Aspect aspect, Says says) {}

  /** Copies the signs. */
  public Readiness {
    signs = List.copyOf(signs);
  }

  /**
   * Judges an infusion.
   *
   * @param heat its course, with the pull so far
   * @param colour its colours so far
   * @return nothing for what is not infusing
   */
  public static Optional<Readiness> of(
      BatchState state,
      BatchReckoning reckoning,
      PotHeat heat,
      ColourStory colour,
      Instant now,
      ZoneId zone) {
    if (state.status() != BatchState.Status.INFUSING) {
      return Optional.empty();
    }
    List<Sign> signs = new ArrayList<>();
    LocalDate today = now.atZone(zone).toLocalDate();
    Served served = served(state, heat, now, today);
    signs.add(new Sign(Aspect.TIME, served == Served.TOO_LITTLE ? Says.NO : Says.YES));
    boolean wet =
        reckoning
            .leaving()
            .map(
                leaving -> {
                  signs.add(new Sign(Aspect.WATER, leaving.done() ? Says.YES : Says.NO));
                  return !leaving.done();
                })
            .orElse(false);
    List<Sign> drawn =
        List.of(
            new Sign(Aspect.PULL, pull(state, heat, now)),
            new Sign(Aspect.COLOUR, colour(colour)),
            new Sign(Aspect.HERB, herb(state.seen())),
            new Sign(Aspect.SMELL, smell(state.seen())));
    signs.addAll(drawn);
    return Optional.of(new Readiness(verdict(state, served, wet, drawn), signs));
  }

  /**
   * What another week would bring, or another hour where it is drawn on the heat.
   *
   * @return pull gained, 0–1
   */
  public static double gain(BatchState state, PotHeat heat, Instant now) {
    long step = state.charge().method().heated() ? HOUR_SECONDS : WEEK_SECONDS;
    return heat.pull(now.plusSeconds(step)).pull() - heat.pull(now).pull();
  }

  private enum Served {
    TOO_LITTLE,
    ENOUGH,
    TOO_MUCH
  }

  private static Verdict verdict(BatchState state, Served served, boolean wet, List<Sign> drawn) {
    if (state.seen().spoiled()) {
      return Verdict.LOST;
    }
    if (served == Served.TOO_MUCH) {
      return Verdict.OVERDUE;
    }
    long yes = drawn.stream().filter(s -> s.says() == Says.YES).count();
    long no = drawn.stream().filter(s -> s.says() == Says.NO).count();
    boolean ready = served == Served.ENOUGH ? no <= yes : no == 0 && yes >= FOR_BEFORE_TIME;
    return ready && !wet ? Verdict.READY : Verdict.WAIT;
  }

  private static Served served(BatchState state, PotHeat heat, Instant now, LocalDate today) {
    Method method = state.charge().method();
    if (method.heated() && (!state.heat().stints().isEmpty() || heat.readings() > 1)) {
      HeatGoal goal = heat.goal();
      double hours = heat.servedHours(now);
      return hours < goal.earliestHours()
          ? Served.TOO_LITTLE
          : hours > goal.latestHours() ? Served.TOO_MUCH : Served.ENOUGH;
    }
    return today.isBefore(state.earliest())
        ? Served.TOO_LITTLE
        : today.isAfter(state.latest()) ? Served.TOO_MUCH : Served.ENOUGH;
  }

  private static Says pull(BatchState state, PotHeat heat, Instant now) {
    Pull pull = heat.pull(now);
    double gain = gain(state, heat, now);
    return pull.pull() >= WELL_DRAWN || gain < SMALL_GAIN && pull.pull() > SMALL_GAIN
        ? Says.YES
        : gain > LARGE_GAIN ? Says.NO : Says.EITHER;
  }

  private static Says colour(ColourStory colour) {
    return colour.settled().map(settled -> settled ? Says.YES : Says.NO).orElse(Says.UNKNOWN);
  }

  private static Says herb(Observations seen) {
    if (Boolean.TRUE.equals(seen.translucent()) || Boolean.TRUE.equals(seen.crisp())) {
      return Says.YES;
    }
    if (seen.bubbles() == Bubbles.FEW) {
      return Says.NO;
    }
    return seen.translucent() == null && seen.crisp() == null ? Says.UNKNOWN : Says.NO;
  }

  private static Says smell(Observations seen) {
    if (seen.scent() == null) {
      return Says.UNKNOWN;
    }
    return switch (seen.scent()) {
      case CLEAR, STRONG -> Says.YES;
      case NONE, FAINT -> Says.NO;
    };
  }
}
