package velvetcrock.core;

/**
 * What was seen so often, as far as averages and spreads ask for it.
 *
 * @param count how often
 * @param mean of all; 0 of none
 * @param squares sum of the squares of their distances from it
 */
public record Seen(long count, double mean, double squares) {
  /** Nothing was seen. */
  public static final Seen NONE = new Seen(0, 0, 0);

  /** Figures that were seen one by one. */
  public static Seen of(double... figures) {
    Seen seen = NONE;
    for (double figure : figures) {
      seen = seen.plus(new Seen(1, figure, 0));
    }
    return seen;
  }

  /** Both together. */
  public Seen plus(Seen other) {
    long both = count + other.count;
    if (both == 0) {
      return NONE;
    }
    double apart = other.mean - mean;
    return new Seen(
        both,
        mean + apart * other.count / both,
        squares + other.squares + apart * apart * count * other.count / both);
  }

  /** Sum of all. */
  public double sum() {
    return count * mean;
  }

  /** Sum of the squares of their distances from another figure than their mean. */
  public double squaresAbout(double figure) {
    return squares + count * (mean - figure) * (mean - figure);
  }
}
