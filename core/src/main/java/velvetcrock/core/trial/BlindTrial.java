package velvetcrock.core.trial;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
import velvetcrock.core.colour.SpeedFit;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.materia.Speed;

/**
 * What jars that differ in one thing show by how strong people found them who did not know which
 * was which.
 *
 * <p>Marks run from 1, faint, to 5, strong, and are taken as 1 + 4·E and a shift that all jars of a
 * trial share; one person's mark scatters by about 1. The speeds under which the marks are
 * likeliest, each with a prior of log s around 0 within ln 2, are what it teaches: the least of Σ
 * n·(mark − shift − 4·E(s))² + Σ (log s / ln 2)².
 */
public final class BlindTrial {
  /** With fewer jars nothing is put in an order. */
  public static final int FEWEST = 2;

  private static final double MARKS = 4;
  private static final double PRIOR_SPREAD = Math.log(2);
  private static final double NUDGE = 1e-5;
  private static final double LEAST_NARROWED = 0.98;
  private static final double LEAST_MOVED = 0.1;
  private static final int MOST_STEPS = 500;
  private static final double NO_PIVOT = 1e-12;

  private final List<Jar> jars;

  /** Of the jars that were judged blind; the others say nothing. */
  public BlindTrial(List<Jar> jars) {
    this.jars = jars.stream().filter(j -> j.judges() > 0).toList();
  }

  /**
   * A jar of a trial.
   *
   * @param letter which one
   * @param of what its speed is the speed of
   * @param mark mean strength, 1 faint to 5 strong; no matter where nobody judged
   * @param judges how often it was judged blind
   */
  public record Jar(String letter, Speed.HerbInOil of, Pull pull, double mark, int judges) {}

  /** The jars that came out the other way round against one, beyond the width of the pull. */
  public List<Jar> against(String letter) {
    List<Jar> against = new ArrayList<>();
    jars.stream()
        .filter(j -> j.letter().equals(letter))
        .findFirst()
        .ifPresent(
            jar ->
                jars.stream()
                    .filter(other -> other != jar && jar.pull().toldApartFrom(other.pull()))
                    .filter(
                        other ->
                            (jar.pull().pull() - other.pull().pull()) * (jar.mark() - other.mark())
                                < 0)
                    .forEach(against::add));
    return against;
  }

  /**
   * What it teaches of the speed of each way that was tried. A way of which it leaves as much open
   * as before is not among them.
   */
  public Map<Speed.HerbInOil, SpeedFit.Jar> speeds() {
    if (jars.size() < FEWEST) {
      return Map.of();
    }
    List<Speed.HerbInOil> ways = jars.stream().map(Jar::of).distinct().toList();
    LeastSquaresOptimizer.Optimum likeliest =
        new LevenbergMarquardtOptimizer()
            .optimize(
                new LeastSquaresBuilder()
                    .model(point -> model(ways, point))
                    .target(new double[jars.size() + ways.size()])
                    .start(new double[ways.size()])
                    .maxEvaluations(MOST_STEPS)
                    .maxIterations(MOST_STEPS)
                    .build());
    RealVector within = likeliest.getSigma(NO_PIVOT);
    Map<Speed.HerbInOil, SpeedFit.Jar> taught = new HashMap<>();
    for (int w = 0; w < ways.size(); w++) {
      double logSpeed = likeliest.getPoint().getEntry(w);
      boolean narrowed = within.getEntry(w) < LEAST_NARROWED * PRIOR_SPREAD;
      if (narrowed || Math.abs(logSpeed) > LEAST_MOVED) {
        taught.put(ways.get(w), new SpeedFit.Jar(logSpeed, within.getEntry(w), true));
      }
    }
    return taught;
  }

  /** Residuals, marks first and then the prior, and how each moves with each way's log s. */
  private Pair<RealVector, RealMatrix> model(List<Speed.HerbInOil> ways, RealVector logSpeeds) {
    double[] here = residuals(ways, logSpeeds);
    RealMatrix moves = MatrixUtils.createRealMatrix(here.length, ways.size());
    for (int w = 0; w < ways.size(); w++) {
      RealVector nudged = logSpeeds.copy();
      nudged.addToEntry(w, NUDGE);
      double[] there = residuals(ways, nudged);
      for (int r = 0; r < here.length; r++) {
        moves.setEntry(r, w, (there[r] - here[r]) / NUDGE);
      }
    }
    return new Pair<>(new ArrayRealVector(here, false), moves);
  }

  private double[] residuals(List<Speed.HerbInOil> ways, RealVector logSpeeds) {
    double[] residuals = new double[jars.size() + ways.size()];
    double shift = 0;
    double judges = 0;
    for (int j = 0; j < jars.size(); j++) {
      Jar jar = jars.get(j);
      double speed = Math.exp(logSpeeds.getEntry(ways.indexOf(jar.of())));
      residuals[j] = MARKS * jar.pull().course().at(speed) - jar.mark();
      shift += jar.judges() * residuals[j];
      judges += jar.judges();
    }
    for (int j = 0; j < jars.size(); j++) {
      residuals[j] = Math.sqrt(jars.get(j).judges()) * (residuals[j] - shift / judges);
    }
    for (int w = 0; w < ways.size(); w++) {
      residuals[jars.size() + w] = logSpeeds.getEntry(w) / PRIOR_SPREAD;
    }
    return residuals;
  }
}
