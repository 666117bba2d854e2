package velvetcrock.web;

import java.util.List;

/** Says what something costs, and what of it has no price. */
public final class MoneyWords {
  private MoneyWords() {}

  /**
   * What it costs.
   *
   * @param minor of what has a price, in hundredths
   * @param what such as {@code each}; empty for nothing
   * @param unpriced names of what has none
   * @return such as {@code 4.10 each; yarrow without a price}; without a sum where that is nothing
   */
  public static String cost(double minor, String what, List<String> unpriced, Formats fmt) {
    String sum = fmt.money(minor) + (what.isEmpty() ? "" : " " + what);
    if (unpriced.isEmpty()) {
      return sum;
    }
    String without = list(unpriced) + " without a price";
    return minor < LEAST ? without : sum + "; " + without;
  }

  private static String list(List<String> names) {
    int last = names.size() - 1;
    return last == 0
        ? names.get(0)
        : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
  }

  /** What is less rounds to nothing. */
  private static final double LEAST = 0.5;
}
