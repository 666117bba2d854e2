package velvetcrock.core.colour;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetcrock.core.Range;
import velvetcrock.core.Seen;
import velvetcrock.core.materia.Speed;

/**
 * The course of a jar's colour fitted to the time of the model: ΔE = ΔE_end·(1 − exp(−s·θ)) by
 * least squares, with θ = ∫k_d dt up to the look and s this jar's own speed. Over jars log s is
 * averaged with a prior of 0 and standard deviation ln 2 that counts as two jars.
 */
public final class SpeedFit {
  /** With fewer looks there is no course. */
  public static final int FEWEST_LOOKS = 3;

  private static final double WIDEST = Math.log(16);
  private static final int STEPS = 200;
  private static final int REFINED = 40;
  private static final double SEEN_WITHIN = 1;
  private static final double PRIOR_JARS = 2;
  private static final double PRIOR_SPREAD = Math.log(2);
  private static final double EIGHTY_PERCENT = 1.28;

  private SpeedFit() {}

  /**
   * A look at a jar.
   *
   * @param theta the model's own time up to it
   * @param deltaE difference to the plain carrier, ΔE00
   */
  public record Look(double theta, double deltaE) {}

  /**
   * What one jar shows, or one trial.
   *
   * @param logSpeed natural logarithm of its speed
   * @param within its standard error
   * @param judged whether it was judged blind in a trial; else by its colour
   */
  public record Jar(double logSpeed, double within, boolean judged) {
    /** One that shows by its colour. */
    public Jar(double logSpeed, double within) {
      this(logSpeed, within, false);
    }
  }

  /**
   * Fits one jar.
   *
   * @return empty with fewer than three looks, or where no course with a speed above 0 fits better
   *     than any other
   */
  public static Optional<Jar> of(List<Look> looks) {
    List<Look> seen = looks.stream().filter(l -> l.theta() > 0).toList();
    if (seen.size() < FEWEST_LOOKS) {
      return Optional.empty();
    }
    double best = 0;
    double least = Double.MAX_VALUE;
    for (int i = 0; i <= STEPS; i++) {
      double at = -WIDEST + 2 * WIDEST * i / STEPS;
      double squares = squares(seen, at);
      if (squares < least) {
        least = squares;
        best = at;
      }
    }
    double step = 2 * WIDEST / STEPS;
    for (int i = 0; i < REFINED; i++) {
      step /= 1.5;
      double less = squares(seen, best - step);
      double more = squares(seen, best + step);
      if (less < least || more < least) {
        best += less < more ? -step : step;
        least = Math.min(less, more);
      }
    }
    if (Math.abs(best) > WIDEST - 1e-3) {
      return Optional.empty();
    }
    return Optional.of(new Jar(best, within(seen, best, least)));
  }

  /** Sum of squares with the end that fits best at this speed. */
  private static double squares(List<Look> looks, double logSpeed) {
    double speed = Math.exp(logSpeed);
    double end = end(looks, speed);
    double sum = 0;
    for (Look look : looks) {
      double off = look.deltaE() - end * -Math.expm1(-speed * look.theta());
      sum += off * off;
    }
    return sum;
  }

  private static double end(List<Look> looks, double speed) {
    double both = 0;
    double own = 0;
    for (Look look : looks) {
      double f = -Math.expm1(-speed * look.theta());
      both += f * look.deltaE();
      own += f * f;
    }
    return own == 0 ? 0 : both / own;
  }

  /** Standard error of log s from the curvature of the sum of squares; an eye tells about 1 ΔE. */
  private static double within(List<Look> looks, double best, double least) {
    double h = 0.05;
    double curve = (squares(looks, best + h) - 2 * least + squares(looks, best - h)) / (h * h);
    double variance = Math.max(SEEN_WITHIN * SEEN_WITHIN, least / (looks.size() - 2.0));
    return curve <= 0 ? WIDEST : Math.min(WIDEST, Math.sqrt(2 * variance / curve));
  }

  /**
   * What all jars and trials show together, of each thing whose speed was learned: what holds
   * however a herb is drawn holds for every way of drawing it.
   */
  public static Map<Speed.HerbInOil, Speed> each(Map<Speed.HerbInOil, Shown> shown) {
    Map<Speed.HerbInOil, Speed> speeds = new HashMap<>();
    shown.forEach(
        (of, its) -> {
          Shown besides = of.way() == null ? null : shown.get(of.anyWay());
          speeds.put(of, together(besides == null ? its : its.plus(besides)));
        });
    return speeds;
  }

  /**
   * What jars and trials show.
   *
   * @param logSpeeds natural logarithms of their speeds
   * @param trials how many of them are trials
   */
  public record Shown(Seen logSpeeds, int trials) {
    /** Of some. */
    public static Shown of(List<Jar> jars) {
      return new Shown(
          Seen.of(jars.stream().mapToDouble(Jar::logSpeed).toArray()),
          (int) jars.stream().filter(Jar::judged).count());
    }

    Shown plus(Shown other) {
      return new Shown(logSpeeds.plus(other.logSpeeds), trials + other.trials);
    }
  }

  /** What all jars and trials of one herb, part, cut and oil show together. */
  public static Speed together(Shown all) {
    int trials = all.trials();
    int jars = (int) all.logSpeeds().count() - trials;
    if (jars + trials < Speed.MOVES_FROM) {
      return Speed.unknown(jars, trials);
    }
    double weight = PRIOR_JARS + jars + trials;
    double mean = all.logSpeeds().sum() / weight;
    double squares = PRIOR_JARS * PRIOR_SPREAD * PRIOR_SPREAD + all.logSpeeds().squaresAbout(mean);
    double half =
        Math.min(
            Math.log(Speed.UNKNOWN_WITHIN),
            EIGHTY_PERCENT * Math.sqrt(squares / weight) * Math.sqrt(1 / weight));
    return new Speed(
        Math.exp(mean), new Range(Math.exp(mean - half), Math.exp(mean + half)), jars, trials);
  }
}
