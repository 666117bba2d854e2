package velvetcrock.core.yield;

import java.util.List;
import velvetcrock.core.Range;
import velvetcrock.core.materia.Part;

/**
 * Oil kept by the marc, ml per g of dry matter, as it is expected: the typical value drawn towards
 * the household's own batches, r̂ = (3·r₀ + Σ rᵢ)/(3 + n), with its 80 % range r̂ ± 1.28·s·√(1 +
 * 1/(3 + n)), s² = (3·(0.25·r₀)² + Σ(rᵢ − r̂)²)/(3 + n).
 *
 * @param mlPerG the expectation
 * @param range where the next one falls four times in five
 * @param batches how many of the household's own batches it knows
 */
public record Retention(double mlPerG, Range range, int batches) {
  private static final double PRIOR_WEIGHT = 3;
  private static final double PRIOR_SPREAD = 0.25;
  private static final double EIGHTY_PERCENT = 1.28;

  /**
   * What one batch of the household's own showed.
   *
   * @param mlPerG oil kept per g of dry matter, already divided by the factor of its cut
   */
  public record Own(Part part, Expression expression, double mlPerG) {}

  /** The expectation for a part and a way of expressing, from all that is known. */
  public static Retention of(Part part, Expression expression, List<Own> experience) {
    double[] own =
        experience.stream()
            .filter(o -> o.part() == part && o.expression() == expression)
            .mapToDouble(Own::mlPerG)
            .toArray();
    double typical = expression.keptMlPerG();
    double weight = PRIOR_WEIGHT + own.length;
    double sum = PRIOR_WEIGHT * typical;
    for (double r : own) {
      sum += r;
    }
    double mean = sum / weight;
    double squares = PRIOR_WEIGHT * PRIOR_SPREAD * typical * PRIOR_SPREAD * typical;
    for (double r : own) {
      squares += (r - mean) * (r - mean);
    }
    double half = EIGHTY_PERCENT * Math.sqrt(squares / weight) * Math.sqrt(1 + 1 / weight);
    return new Retention(mean, new Range(Math.max(0, mean - half), mean + half), own.length);
  }
}
