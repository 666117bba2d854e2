package velvetcrock.core.care;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.jar.Window;

/**
 * Whether an infusion is ready to be strained, and what speaks for and against it (practice).
 *
 * <ol>
 *   <li>Spoiled is lost, whatever else.
 *   <li>While water or spirit has yet to leave it waits, however long it has stood.
 *   <li>Before its window has begun (not on the heat yet, no oil yet) it waits.
 *   <li>Past the last day or hour of its window it is overdue.
 *   <li>Within the window, which itself speaks for it, it is ready unless more signs among colour,
 *       herb and smell speak against than for.
 *   <li>Before the window it waits, unless three quarters of the time to it have passed and all
 *       three of those speak for.
 * </ol>
 *
 * <p>The reckoned pull is told beside them and has no vote: it is an estimate for comparing ways,
 * and who looks and smells knows better.
 *
 * @param signs time first, then water where some has to leave, colour, herb and smell
 */
public record Readiness(Verdict verdict, List<Sign> signs) {
  private static final int FOR_BEFORE_TIME = 3;
  private static final double NEARLY = 0.75;
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
   * @param served how long it was on the heat
   * @param zone the household's
   */
  public static Readiness of(
      BatchState state,
      BatchReckoning reckoning,
      Window.Served served,
      LocalDate today,
      ZoneId zone) {
    List<Sign> signs = new ArrayList<>();
    Window window = reckoning.window(zone);
    Window.Stage stage = window.stage(today, served);
    boolean nearly = window.at(today, served) >= NEARLY * window.earliest();
    boolean inTime = stage.compareTo(Window.Stage.OPEN) >= 0;
    signs.add(new Sign(Aspect.TIME, inTime ? Says.YES : Says.NO));
    reckoning
        .leaving()
        .ifPresent(
            leaving -> signs.add(new Sign(Aspect.WATER, leaving.done() ? Says.YES : Says.NO)));
    List<Sign> seen =
        List.of(
            new Sign(Aspect.COLOUR, colour(reckoning.colour())),
            new Sign(Aspect.HERB, herb(state.seen())),
            new Sign(Aspect.SMELL, smell(state.seen())));
    signs.addAll(seen);
    return new Readiness(verdict(state, stage, nearly, reckoning.holdsWater(), seen), signs);
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

  private static Verdict verdict(
      BatchState state, Window.Stage stage, boolean nearly, boolean wet, List<Sign> seen) {
    if (state.seen().spoiled()) {
      return Verdict.LOST;
    }
    if (wet || stage == Window.Stage.NOT_BEGUN) {
      return Verdict.WAIT;
    }
    if (stage == Window.Stage.PAST) {
      return Verdict.OVERDUE;
    }
    boolean inTime = stage != Window.Stage.EARLY;
    long yes = seen.stream().filter(s -> s.says() == Says.YES).count();
    long no = seen.stream().filter(s -> s.says() == Says.NO).count();
    boolean ready = inTime ? no <= yes + 1 : nearly && no == 0 && yes >= FOR_BEFORE_TIME;
    return ready ? Verdict.READY : Verdict.WAIT;
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
