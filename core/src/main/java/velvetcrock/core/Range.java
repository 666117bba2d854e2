package velvetcrock.core;

import java.util.function.DoubleBinaryOperator;

/**
 * A closed interval of finite numbers, low first; an exact figure is a range of no width.
 *
 * @param low the lower end, inclusive
 * @param high the upper end, inclusive, not below {@code low}
 */
public record Range(double low, double high) {

  /**
   * Checks the ends.
   *
   * @throws IllegalArgumentException if an end is not finite or the ends are the wrong way round
   */
  public Range {
    if (!Double.isFinite(low) || !Double.isFinite(high) || low > high) {
      throw new IllegalArgumentException("A range goes from low to high: " + low + " to " + high);
    }
  }

  /** The range of no width at {@code value}. */
  public static Range exactly(double value) {
    return new Range(value, value);
  }

  /** The range between two values given in either order. */
  public static Range between(double one, double other) {
    return new Range(Math.min(one, other), Math.max(one, other));
  }

  /** The middle, which stands for the range where one figure is needed. */
  public double middle() {
    return (low + high) / 2;
  }

  /** Whether the range has no width. */
  public boolean exact() {
    return low == high;
  }

  /** The range multiplied by a factor of either sign. */
  public Range times(double factor) {
    return between(low * factor, high * factor);
  }

  /** The sum of two ranges, end by end. */
  public Range plus(Range other) {
    return new Range(low + other.low, high + other.high);
  }

  /** The range with both ends raised to at least {@code floor}. */
  public Range atLeast(double floor) {
    return new Range(Math.max(low, floor), Math.max(high, floor));
  }

  /**
   * The range of a function over two ranges, taken at the four corners.
   *
   * @param function monotone in each argument; for any other the corners do not bound it
   */
  public static Range corners(Range one, Range other, DoubleBinaryOperator function) {
    double ll = function.applyAsDouble(one.low, other.low);
    double lh = function.applyAsDouble(one.low, other.high);
    double hl = function.applyAsDouble(one.high, other.low);
    double hh = function.applyAsDouble(one.high, other.high);
    return new Range(
        Math.min(Math.min(ll, lh), Math.min(hl, hh)), Math.max(Math.max(ll, lh), Math.max(hl, hh)));
  }
}
