package velvetcrock.core.yield;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Learned;
import velvetcrock.core.Range;
import velvetcrock.core.Seen;
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
   * What batches of the household's own showed.
   *
   * @param mlPerG oil kept per g of dry matter, already divided by the factor of its cut
   */
  public record Own(Part part, Expression expression, Seen mlPerG) {
    /** What one batch showed. */
    public Own(Part part, Expression expression, double mlPerG) {
      this(part, expression, Seen.of(mlPerG));
    }
  }

  /**
   * The expectation for a part and a way of expressing, from all that is known. Whatever was
   * learned, squeezing leaves no more behind than dripping, twisting no more than squeezing, and
   * pressing least: where lessons say otherwise they are pooled, each with the weight of what it
   * rests on.
   */
  public static Retention of(Part part, Expression expression, List<Own> experience) {
    List<Pool> pools = new ArrayList<>();
    Learned own = null;
    for (Expression each : Expression.values()) {
      Learned learned = learned(part, each, experience);
      if (each == expression) {
        own = learned;
      }
      pools.add(new Pool(learned.mean(), Learned.PRIOR_WEIGHT + learned.count(), 1));
      while (pools.size() > 1 && pools.get(pools.size() - 1).mean > last(pools).mean) {
        Pool upper = pools.remove(pools.size() - 1);
        Pool lower = pools.remove(pools.size() - 1);
        pools.add(lower.with(upper));
      }
    }
    double mean = meanAt(pools, expression.ordinal());
    double moved = mean - own.mean();
    return new Retention(
        mean,
        new Range(Math.max(0, own.range().low() + moved), Math.max(0, own.range().high() + moved)),
        own.count());
  }

  /** Ways that share one expectation. */
  private record Pool(double mean, double weight, int ways) {
    Pool with(Pool other) {
      double both = weight + other.weight;
      return new Pool((mean * weight + other.mean * other.weight) / both, both, ways + other.ways);
    }
  }

  private static Pool last(List<Pool> pools) {
    return pools.get(pools.size() - 2);
  }

  private static double meanAt(List<Pool> pools, int way) {
    int left = way;
    for (Pool pool : pools) {
      if (left < pool.ways()) {
        return pool.mean();
      }
      left -= pool.ways();
    }
    throw new IllegalArgumentException("No way of expressing has the number " + way + ".");
  }

  private static Learned learned(Part part, Expression expression, List<Own> experience) {
    double typical = expression.keptMlPerG();
    return Learned.of(
        typical,
        PRIOR_SPREAD * typical,
        experience.stream()
            .filter(o -> o.part() == part && o.expression() == expression)
            .map(Own::mlPerG)
            .reduce(Seen.NONE, Seen::plus));
  }
}
