package velvetcrock.core;

/**
 * A figure drawn from what is typical towards what one has seen oneself: m̂ = (3·m₀ + Σ mᵢ)/(3 +
 * n), so that the first few move it little. Its range is where the next one falls four times in
 * five, m̂ ± 1.28·s·√(1 + 1/(3 + n)), s² = (3·s₀² + Σ(mᵢ − m̂)²)/(3 + n).
 *
 * @param mean the expectation
 * @param range where the next one falls four times in five
 * @param count how many of one's own it knows
 */
public record Learned(double mean, Range range, int count) {
  /** What is typical counts like so many of one's own. */
  public static final double PRIOR_WEIGHT = 3;

  private static final double EIGHTY_PERCENT = 1.28;

  /**
   * Learns.
   *
   * @param typical what is expected before anything was seen
   * @param spread its standard deviation
   * @param own what was seen
   */
  public static Learned of(double typical, double spread, double... own) {
    return of(typical, spread, Seen.of(own));
  }

  /** The same where only that is known of what was seen. */
  public static Learned of(double typical, double spread, Seen own) {
    double weight = PRIOR_WEIGHT + own.count();
    double mean = (PRIOR_WEIGHT * typical + own.sum()) / weight;
    double squares = PRIOR_WEIGHT * spread * spread + own.squaresAbout(mean);
    double half = EIGHTY_PERCENT * Math.sqrt(squares / weight) * Math.sqrt(1 + 1 / weight);
    return new Learned(mean, new Range(mean - half, mean + half), (int) own.count());
  }
}
