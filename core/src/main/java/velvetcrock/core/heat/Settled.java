package velvetcrock.core.heat;

import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.descriptive.rank.Percentile;

/**
 * What a setting of an appliance turned out to be, learned from a trace on that setting: its last
 * third tells where it settles and how far it swings, all before that how it came there.
 *
 * @param meanC where it settled, °C
 * @param rippleC half of what it swings from its 5th to its 95th percentile, °C
 * @param overshootC how far above that it went before, °C; 0 if it did not
 * @param minutes until it stayed near, min
 */
public record Settled(double meanC, double rippleC, double overshootC, double minutes) {
  /** Shorter traces teach nothing, h. */
  public static final double SHORTEST_HOURS = 1;

  private static final int FEWEST = 12;

  /** The two halves of the last third may differ by this, °C, or by this share of the ripple. */
  private static final double DRIFTS_C = 1;

  private static final double DRIFTS_SHARE = 0.4;
  private static final double NEAR_C = 1.5;

  /**
   * Learns.
   *
   * @param readings on one setting, in order
   * @return empty where they are too few, too short, with a gap, or still drifting at the end
   */
  public static Optional<Settled> of(List<Trace.Point> readings) {
    if (readings.size() < FEWEST) {
      return Optional.empty();
    }
    double begin = readings.get(0).hours();
    double end = readings.get(readings.size() - 1).hours();
    if (end - begin < SHORTEST_HOURS || gap(readings)) {
      return Optional.empty();
    }
    List<Trace.Point> tail =
        readings.stream().filter(p -> p.hours() >= end - (end - begin) / 3).toList();
    double[] values = tail.stream().mapToDouble(Trace.Point::celsius).toArray();
    Percentile percentile = new Percentile();
    percentile.setData(values);
    double ripple = values.length < 2 ? 0 : (percentile.evaluate(95) - percentile.evaluate(5)) / 2;
    double halves =
        mean(tail.subList(tail.size() / 2, tail.size())) - mean(tail.subList(0, tail.size() / 2));
    if (Math.abs(halves) > Math.max(DRIFTS_C, DRIFTS_SHARE * ripple)) {
      return Optional.empty();
    }
    double mean = mean(tail);
    double near = Math.max(NEAR_C, 1.3 * ripple + 0.5);
    double settledAt = begin;
    double peak = Double.NEGATIVE_INFINITY;
    for (Trace.Point point : readings) {
      if (Math.abs(point.celsius() - mean) > near) {
        settledAt = point.hours();
      }
      peak = Math.max(peak, point.celsius());
    }
    double overshoot = peak - mean > near ? peak - mean : 0;
    return Optional.of(new Settled(mean, ripple, overshoot, (settledAt - begin) * 60));
  }

  private static boolean gap(List<Trace.Point> readings) {
    for (int i = 1; i < readings.size(); i++) {
      if (readings.get(i).hours() - readings.get(i - 1).hours() > Readings.GAP_HOURS) {
        return true;
      }
    }
    return false;
  }

  /** Mean over time, by trapezoids. */
  private static double mean(List<Trace.Point> points) {
    double area = 0;
    for (int i = 1; i < points.size(); i++) {
      Trace.Point a = points.get(i - 1);
      Trace.Point b = points.get(i);
      area += (b.hours() - a.hours()) * (a.celsius() + b.celsius()) / 2;
    }
    double hours = points.get(points.size() - 1).hours() - points.get(0).hours();
    return hours > 0 ? area / hours : points.get(0).celsius();
  }
}
