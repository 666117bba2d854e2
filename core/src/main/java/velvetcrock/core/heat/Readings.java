package velvetcrock.core.heat;

import java.util.List;

/** What a thermometer's silences leave open. */
public final class Readings {
  /** Silence longer than this is a gap, h. */
  public static final double GAP_HOURS = 0.5;

  static final long GAP_MILLIS = 1_800_000;
  static final double MILLIS_PER_HOUR = 3_600_000;

  private static final double INSTANT_HOURS = 1e-6;

  private Readings() {}

  /**
   * Where the points end before a gap, adds the point that holds one of its ends over it.
   *
   * @param hotter whether it is the hotter one
   */
  static void bridgeTo(List<Trace.Point> points, double hours, double celsius, boolean hotter) {
    if (points.isEmpty()) {
      return;
    }
    Trace.Point from = points.get(points.size() - 1);
    if (hours - from.hours() <= GAP_HOURS || celsius == from.celsius()) {
      return;
    }
    boolean holdsNext = celsius > from.celsius() == hotter;
    points.add(
        holdsNext
            ? new Trace.Point(from.hours() + INSTANT_HOURS, celsius)
            : new Trace.Point(hours - INSTANT_HOURS, from.celsius()));
  }
}
