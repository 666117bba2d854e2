package velvetcrock.core.making;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import velvetcrock.core.Refused;

/**
 * Shares in percent with one decimal that add to 100.0: what rounding lost goes to the largest
 * rests.
 */
public final class Percentages {
  private static final int TENTHS = 1000;

  private Percentages() {}

  /**
   * Percentages of amounts.
   *
   * @param amounts not negative, and not all nothing
   * @return as many, each a multiple of 0.1, adding to 100.0
   * @throws Refused at {@code parts} if their sum is nothing
   */
  public static List<Double> of(List<Double> amounts) {
    double sum = amounts.stream().mapToDouble(Double::doubleValue).sum();
    if (!(sum > 0) || amounts.stream().anyMatch(a -> a < 0)) {
      throw new Refused("parts", "There is nothing to take shares of.");
    }
    List<Long> tenths = new ArrayList<>();
    amounts.forEach(a -> tenths.add((long) Math.floor(a / sum * TENTHS)));
    long missing = TENTHS - tenths.stream().mapToLong(Long::longValue).sum();
    IntStream.range(0, amounts.size())
        .boxed()
        .sorted(Comparator.comparingDouble(i -> -(amounts.get(i) / sum * TENTHS - tenths.get(i))))
        .limit(missing)
        .forEach(i -> tenths.set(i, tenths.get(i) + 1));
    return tenths.stream().map(t -> t / 10.0).toList();
  }
}
