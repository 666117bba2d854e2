package velvetcrock.core.heat;

import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.measure.Temperatures;

/**
 * A course of temperature, linear between its points.
 *
 * @param points in order of time; may be empty, which covers no time at all
 */
public record Trace(List<Point> points) {
  private static final double COLDEST_C = Temperatures.COLDEST_C;
  private static final double HOTTEST_C = Temperatures.HOTTEST_C;
  private static final double LONGEST_HOURS = 24 * 366 * 100;
  private static final int MOST_PROBLEMS = 20;

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
    double before = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < points.size() && problems.found().size() < MOST_PROBLEMS; i++) {
      Point point = points.get(i);
      if (!(point.celsius() >= COLDEST_C && point.celsius() <= HOTTEST_C)) {
        problems.add(
            "trace[" + i + "].celsius",
            "A temperature is between −60 and 400 °C; " + point.celsius() + " was read.");
      }
      if (!(Math.abs(point.hours()) <= LONGEST_HOURS && point.hours() > before)) {
        problems.add(
            "trace[" + i + "].hours",
            "Times go forward, each once, for at most a century; "
                + point.hours()
                + " h was read.");
      }
      before = point.hours();
    }
    problems.refuseIfAny();
  }

  /** A steady temperature for so many hours. */
  public static Trace steady(double celsius, double hours) {
    return new Trace(List.of(new Point(0, celsius), new Point(hours, celsius)));
  }

  /** The same course so many degrees warmer. */
  public Trace warmerBy(double celsius) {
    return new Trace(
        points.stream().map(p -> new Point(p.hours(), p.celsius() + celsius)).toList());
  }

  /** Whether any point is as warm as that. */
  public boolean reaches(double celsius) {
    return points.stream().anyMatch(point -> point.celsius() >= celsius);
  }

  /** The same course so many hours later. */
  public Trace laterBy(double hours) {
    return new Trace(points.stream().map(p -> new Point(p.hours() + hours, p.celsius())).toList());
  }

  /** Its lowest temperature, °C; the highest double where it has no point. */
  public double coldestC() {
    return points.stream().mapToDouble(Point::celsius).min().orElse(Double.MAX_VALUE);
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
