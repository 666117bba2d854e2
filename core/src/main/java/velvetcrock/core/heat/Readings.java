package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;

/** Turns a thermometer's readings into a trace that holds in its gaps too. */
public final class Readings {
  /** Silence longer than this is a gap, h. */
  public static final double GAP_HOURS = 0.5;

  private static final double INSTANT_HOURS = 1e-6;

  private Readings() {}

  /**
   * The trace for ageing: a gap is reckoned at the hotter of its two ends.
   *
   * @param readings in order of time
   */
  public static Trace forAgeing(List<Trace.Point> readings) {
    List<Trace.Point> points = new ArrayList<>(readings.size());
    for (int i = 0; i < readings.size(); i++) {
      Trace.Point next = readings.get(i);
      if (i > 0 && next.hours() - readings.get(i - 1).hours() > GAP_HOURS) {
        bridge(readings.get(i - 1), next, points);
      }
      points.add(next);
    }
    return new Trace(points);
  }

  private static void bridge(Trace.Point from, Trace.Point to, List<Trace.Point> points) {
    if (to.celsius() > from.celsius()) {
      points.add(new Trace.Point(from.hours() + INSTANT_HOURS, to.celsius()));
    } else if (to.celsius() < from.celsius()) {
      points.add(new Trace.Point(to.hours() - INSTANT_HOURS, from.celsius()));
    }
  }
}
