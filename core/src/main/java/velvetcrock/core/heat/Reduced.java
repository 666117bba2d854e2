package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Readings thinned for drawing: of each column the first, the lowest, the highest and the last, so
 * that no peak is lost and a line through them covers the same pixels as one through all. A gap of
 * over half an hour stands as a point without a temperature.
 *
 * @param points in order of time
 * @param from how many readings they stand for
 */
public record Reduced(List<At> points, int from) {

  /** A point of the drawing; no temperature where the line breaks. */
  public record At(long millis, @Nullable Double celsius) {}

  /**
   * Thins a stretch.
   *
   * @param columns of the drawing, at least 1; four points each at most, and a break
   */
  static Reduced of(Series readings, long fromMillis, long toMillis, int columns) {
    int begin = readings.from(fromMillis);
    int end = readings.from(toMillis);
    List<At> points = new ArrayList<>();
    if (begin < end) {
      long first = readings.millis(begin);
      double width = (readings.millis(end - 1) - first + 1) / (double) Math.max(1, columns);
      int i = begin;
      while (i < end) {
        long column = (long) ((readings.millis(i) - first) / width);
        int to = i;
        int low = i;
        int high = i;
        while (to < end
            && (long) ((readings.millis(to) - first) / width) == column
            && (to == i || !gap(readings, to))) {
          low = readings.celsius(to) < readings.celsius(low) ? to : low;
          high = readings.celsius(to) > readings.celsius(high) ? to : high;
          to++;
        }
        if (i > begin && gap(readings, i)) {
          points.add(new At((readings.millis(i - 1) + readings.millis(i)) / 2, null));
        }
        add(readings, points, i, Math.min(low, high), Math.max(low, high), to - 1);
        i = to;
      }
    }
    return new Reduced(List.copyOf(points), end - begin);
  }

  /** With later readings behind; a silence in between breaks the line as any other. */
  public Reduced with(Reduced later) {
    if (points.isEmpty() || later.points.isEmpty()) {
      return points.isEmpty() ? later : this;
    }
    List<At> all = new ArrayList<>(points);
    long last = points.get(points.size() - 1).millis();
    long next = later.points.get(0).millis();
    if (next - last > Readings.GAP_MILLIS) {
      all.add(new At((last + next) / 2, null));
    }
    all.addAll(later.points);
    return new Reduced(List.copyOf(all), from + later.from);
  }

  private static void add(Series readings, List<At> points, int... rising) {
    int before = -1;
    for (int i : rising) {
      if (i != before) {
        points.add(new At(readings.millis(i), readings.celsius(i)));
      }
      before = i;
    }
  }

  private static boolean gap(Series readings, int i) {
    return readings.millis(i) - readings.millis(i - 1) > Readings.GAP_MILLIS;
  }
}
