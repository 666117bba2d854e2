package velvetcrock.core.making;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;

/**
 * A melt shared out over tins, moulds and jars.
 *
 * @param vessels each with how many are filled
 * @param restMl what is left over; it fills no other
 * @param lackingMl what is missing to fill all that are wanted; 0 where there is enough
 */
public record Filling(List<Vessel> vessels, double restMl, double lackingMl) {
  private static final int MOST_KINDS = 12;
  private static final int MOST_STEPS = 40_000;
  private static final double ROUNDING = 1e-6;

  /**
   * Vessels of one size.
   *
   * @param ml what one holds, ml
   * @param count how many; null for as many as it fills
   */
  public record Vessel(double ml, @Nullable Integer count) {
    double filledMl() {
      return count == null ? 0 : ml * count;
    }
  }

  /**
   * Shares out as said; open ones take what the others leave, the largest first.
   *
   * @param volumeMl what there is to pour, without what stays in the pan, ml
   * @throws velvetcrock.core.Refused at {@code fill[i].ml} or {@code fill[i].count}
   */
  public static Filling of(double volumeMl, List<Vessel> wanted) {
    check(wanted);
    double left = volumeMl - wanted.stream().mapToDouble(Vessel::filledMl).sum();
    double lacking = Math.max(0, -left);
    List<Vessel> filled = new ArrayList<>(wanted);
    List<Integer> open = new ArrayList<>();
    for (int i = 0; i < wanted.size(); i++) {
      if (wanted.get(i).count() == null) {
        open.add(i);
      }
    }
    open.sort((a, b) -> Double.compare(wanted.get(b).ml(), wanted.get(a).ml()));
    for (int i : open) {
      Vessel vessel = wanted.get(i);
      int count = (int) Math.floor(Math.max(0, left) / vessel.ml() + ROUNDING);
      filled.set(i, new Vessel(vessel.ml(), count));
      left -= count * vessel.ml();
    }
    return new Filling(List.copyOf(filled), Math.max(0, left), lacking);
  }

  /**
   * Shares out so that the least is left over: which volumes can be filled, size by size from the
   * largest, each taking no more of the smaller than it needs (a bounded knapsack).
   *
   * @param atHand each size with how many there are; null for any number
   * @return the sizes in the order given, with how many of each are filled
   */
  public static Filling exact(double volumeMl, List<Vessel> atHand) {
    check(atHand);
    double step = Math.max(0.5, volumeMl / MOST_STEPS);
    int capacity = (int) Math.floor(volumeMl / step + ROUNDING);
    List<Integer> order =
        IntStream.range(0, atHand.size())
            .boxed()
            .sorted(Comparator.comparingDouble(i -> -atHand.get(i).ml()))
            .toList();
    boolean[] reached = new boolean[capacity + 1];
    reached[0] = true;
    int[][] used = new int[atHand.size()][capacity + 1];
    for (int v : order) {
      int size = steps(atHand.get(v), step);
      Integer limit = atHand.get(v).count();
      for (int at = size; at <= capacity; at++) {
        if (!reached[at] && reached[at - size] && (limit == null || used[v][at - size] < limit)) {
          reached[at] = true;
          used[v][at] = used[v][at - size] + 1;
        }
      }
    }
    int at = capacity;
    while (!reached[at]) {
      at--;
    }
    Integer[] counts = new Integer[atHand.size()];
    for (int i = order.size() - 1; i >= 0; i--) {
      int v = order.get(i);
      counts[v] = used[v][at];
      at -= used[v][at] * steps(atHand.get(v), step);
    }
    List<Vessel> filled = new ArrayList<>();
    double left = volumeMl;
    for (int v = 0; v < atHand.size(); v++) {
      filled.add(new Vessel(atHand.get(v).ml(), counts[v]));
      left -= counts[v] * atHand.get(v).ml();
    }
    return new Filling(List.copyOf(filled), Math.max(0, left), 0);
  }

  private static int steps(Vessel vessel, double step) {
    return (int) Math.ceil(vessel.ml() / step - ROUNDING);
  }

  private static void check(List<Vessel> vessels) {
    Problems problems = new Problems();
    problems.require(
        !vessels.isEmpty() && vessels.size() <= MOST_KINDS, "fill", "Between 1 and 12 sizes.");
    for (int i = 0; i < vessels.size(); i++) {
      Vessel vessel = vessels.get(i);
      problems.require(
          vessel.ml() >= 1 && vessel.ml() <= 20_000,
          "fill[" + i + "].ml",
          "Between 1 ml and 20 l.");
      problems.require(
          vessel.count() == null || vessel.count() >= 0 && vessel.count() <= 500,
          "fill[" + i + "].count",
          "At most 500 of one size.");
    }
    problems.refuseIfAny();
  }
}
