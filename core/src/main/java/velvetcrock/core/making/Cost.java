package velvetcrock.core.making;

import java.util.List;
import velvetcrock.core.Problems;

/** What a product costs, in the smallest unit of the money it was paid in. */
public final class Cost {
  private Cost() {}

  /**
   * Something taken from a lot.
   *
   * @param usedG what was taken, g
   * @param lotG what the lot weighed when it was bought, g, at least as much
   * @param lotPriceMinor what the lot cost, in cents or the like
   */
  public record Taken(double usedG, double lotG, long lotPriceMinor) {}

  /**
   * Cost of one tin, rounded to the nearest cent: Σ price·used/lot ÷ tins.
   *
   * @param tins at least 1
   * @throws velvetcrock.core.Refused at {@code tins} or {@code taken[i]}
   */
  public static long perTinMinor(List<Taken> taken, int tins) {
    Problems problems = new Problems();
    problems.require(tins >= 1, "tins", "At least one tin.");
    for (int i = 0; i < taken.size(); i++) {
      Taken t = taken.get(i);
      problems.require(
          t.lotG() > 0 && t.usedG() >= 0 && t.usedG() <= t.lotG() && t.lotPriceMinor() >= 0,
          "taken[" + i + "]",
          "No more is taken than the lot holds, and its price is not below 0.");
    }
    problems.refuseIfAny();
    double sum = taken.stream().mapToDouble(t -> t.lotPriceMinor() * t.usedG() / t.lotG()).sum();
    return Math.round(sum / tins);
  }
}
