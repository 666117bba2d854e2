package velvetcrock.core.yield;

import java.util.List;
import velvetcrock.core.Learned;
import velvetcrock.core.Range;
import velvetcrock.core.materia.Part;

/**
 * Oil kept by the marc, ml per g of dry matter, as it is expected: {@link Learned} from the
 * household's own batches, with a quarter of what is typical for its spread.
 *
 * @param mlPerG the expectation
 * @param range where the next one falls four times in five
 * @param batches how many of the household's own batches it knows
 */
public record Retention(double mlPerG, Range range, int batches) {
  private static final double PRIOR_SPREAD = 0.25;

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
    Learned learned = Learned.of(typical, PRIOR_SPREAD * typical, own);
    Range range = new Range(Math.max(0, learned.range().low()), learned.range().high());
    return new Retention(learned.mean(), range, learned.count());
  }
}
