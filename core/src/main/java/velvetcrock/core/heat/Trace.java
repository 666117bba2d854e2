package velvetcrock.core.heat;

import java.util.List;
import velvetcrock.core.Problems;

/**
 * A course of temperature, linear between its points.
 *
 * @param points in order of time; may be empty, which covers no time at all
 */
public record Trace(List<Point> points) {
  private static final double COLDEST_C = -60;
  private static final double HOTTEST_C = 400;

  /**
   * One reading.
   *
   * @param hours since the trace's beginning
   * @param celsius °C
   */
  public record Point(double hours, double celsius) {}

  /**
   * Checks and copies the points.
   *
   * @throws velvetcrock.core.Refused at {@code trace[i]} if times run backwards or a temperature is
   *     outside −60 to 400 °C
   */
  public Trace {
    points = List.copyOf(points);
    Problems problems = new Problems();
    for (int i = 0; i < points.size(); i++) {
      Point point = points.get(i);
      problems.require(
          point.celsius() >= COLDEST_C && point.celsius() <= HOTTEST_C,
          "trace[" + i + "].celsius",
          "A temperature is between −60 and 400 °C; " + point.celsius() + " was read.");
      problems.require(
          Double.isFinite(point.hours()) && (i == 0 || point.hours() > points.get(i - 1).hours()),
          "trace[" + i + "].hours",
          "Times go forward, each once; " + point.hours() + " h was read.");
    }
    problems.refuseIfAny();
  }

  /** A trace that covers no time. */
  public static Trace none() {
    return new Trace(List.of());
  }

  /** Time from the first point to the last, h. */
  public double hours() {
    return points.size() < 2 ? 0 : points.get(points.size() - 1).hours() - points.get(0).hours();
  }

  /** Time that it spends strictly between two temperatures, h. */
  public double hoursBetween(double lowC, double highC) {
    double total = 0;
    for (int i = 1; i < points.size(); i++) {
      total += pieceBetween(points.get(i - 1), points.get(i), lowC, highC);
    }
    return total;
  }

  private static double pieceBetween(Point from, Point to, double lowC, double highC) {
    double hours = to.hours() - from.hours();
    double low = Math.min(from.celsius(), to.celsius());
    double high = Math.max(from.celsius(), to.celsius());
    if (high == low) {
      return low > lowC && low < highC ? hours : 0;
    }
    double inside = Math.min(high, highC) - Math.max(low, lowC);
    return hours * Math.max(0, inside) / (high - low);
  }
}
