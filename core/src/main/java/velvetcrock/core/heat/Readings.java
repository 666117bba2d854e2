package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;

/** Turns a thermometer's readings into a trace that holds in its gaps too. */
public final class Readings {
  /** Silence longer than this is a gap, h. */
  public static final double GAP_HOURS = 0.5;

  static final long GAP_MILLIS = 1_800_000;
  static final double MILLIS_PER_HOUR = 3_600_000;

  private static final double INSTANT_HOURS = 1e-6;

  private Readings() {}

  /**
   * The trace for ageing: a gap is reckoned at the hotter of its two ends.
   *
   * @param readings in order of time
   */
  public static Trace forAgeing(List<Trace.Point> readings) {
    List<Trace.Point> points = new ArrayList<>(readings.size());
    for (Trace.Point next : readings) {
      bridgeTo(points, next.hours(), next.celsius());
      points.add(next);
    }
    return new Trace(points);
  }

  /** Where the points end before a gap, adds the point that holds its hotter end over it. */
  static void bridgeTo(List<Trace.Point> points, double hours, double celsius) {
    if (points.isEmpty()) {
      return;
    }
    Trace.Point from = points.get(points.size() - 1);
    if (hours - from.hours() <= GAP_HOURS) {
      return;
    }
    if (celsius > from.celsius()) {
      points.add(new Trace.Point(from.hours() + INSTANT_HOURS, celsius));
    } else if (celsius < from.celsius()) {
      points.add(new Trace.Point(hours - INSTANT_HOURS, from.celsius()));
    }
  }
}
