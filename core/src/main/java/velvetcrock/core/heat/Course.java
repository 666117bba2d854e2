package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;

/**
 * The course of a pot's temperature from all that is known of it. Where a thermometer watches, its
 * readings count alone and its silences are gaps; a time on the heat that nobody reads, or only now
 * and then, is assumed from knob and hand and bent to the few readings there are.
 */
public final class Course {
  /** As many readings in a time on the heat mean that a thermometer watches it. */
  private static final int WATCHED_COUNT = 10;

  /** As large a share of it within half an hour of one another does too. */
  private static final double WATCHED_SHARE = 0.25;

  private final Series readings;
  private final long zeroMillis;
  private final List<Assumed> assumed = new ArrayList<>();

  /**
   * Joins what is known.
   *
   * @param zeroMillis the moment from which the stints' hours count
   */
  public Course(Series readings, List<Assumed.Stint> stints, long zeroMillis) {
    this(readings, stints, List.of(), zeroMillis);
  }

  /**
   * The same where more is assumed than knob and hand say.
   *
   * @param more traces in order, apart from one another and from the stints
   */
  public Course(Series readings, List<Assumed.Stint> stints, List<Assumed> more, long zeroMillis) {
    this.readings = readings;
    this.zeroMillis = zeroMillis;
    for (Assumed.Stint stint : stints) {
      List<Trace.Point> within =
          readings.points(millis(stint.onHours()), millis(stint.untilHours()) + 1, zeroMillis);
      if (!watched(within, stint)) {
        assumed.add(Assumed.of(stint, within));
      }
    }
    assumed.addAll(more);
  }

  private static boolean watched(List<Trace.Point> within, Assumed.Stint stint) {
    if (within.size() >= WATCHED_COUNT) {
      return true;
    }
    double covered = 0;
    for (int i = 1; i < within.size(); i++) {
      double piece = within.get(i).hours() - within.get(i - 1).hours();
      covered += piece <= Readings.GAP_HOURS ? piece : 0;
    }
    return covered > 0 && covered >= WATCHED_SHARE * (stint.untilHours() - stint.onHours());
  }

  private long millis(double hours) {
    return zeroMillis + Math.round(hours * Readings.MILLIS_PER_HOUR);
  }

  /** Takes a point of the course. */
  @FunctionalInterface
  public interface Visitor {
    /**
     * A point.
     *
     * @param hours since the course's beginning, h
     * @param read whether a thermometer said so
     */
    void at(double hours, double celsius, boolean read);
  }

  /** The times that are assumed, in order. */
  public List<Assumed> assumed() {
    return List.copyOf(assumed);
  }

  /** Walks along it, each point once, in order of time. */
  public void walk(Visitor visitor) {
    int next = 0;
    for (Assumed time : assumed) {
      List<Trace.Point> points = time.trace().points();
      double begin = points.get(0).hours();
      double end = points.get(points.size() - 1).hours();
      while (next < readings.size() && readings.hours(next, zeroMillis) < begin) {
        visit(next++, visitor);
      }
      int inside = next;
      while (inside < readings.size() && readings.hours(inside, zeroMillis) <= end) {
        inside++;
      }
      merge(points, next, inside, visitor);
      next = inside;
    }
    while (next < readings.size()) {
      visit(next++, visitor);
    }
  }

  /** The assumed points with the readings among them, which stand for any point of that moment. */
  private void merge(List<Trace.Point> points, int from, int to, Visitor visitor) {
    int next = from;
    for (Trace.Point point : points) {
      while (next < to && readings.hours(next, zeroMillis) < point.hours() - SAME_HOURS) {
        visit(next++, visitor);
      }
      if (next < to && readings.hours(next, zeroMillis) <= point.hours() + SAME_HOURS) {
        visit(next++, visitor);
      } else {
        visitor.at(point.hours(), point.celsius(), false);
      }
    }
    while (next < to) {
      visit(next++, visitor);
    }
  }

  private static final double SAME_HOURS = 1e-6;

  private void visit(int i, Visitor visitor) {
    visitor.at(readings.hours(i, zeroMillis), readings.celsius(i), true);
  }

  /** What it amounts to; empty of statistics where it has fewer than two points. */
  public HeatTally tally(HeatStatistics.Band band, double ceilingC) {
    HeatTally tally = new HeatTally(band, ceilingC);
    walk(tally::add);
    return tally;
  }

  /**
   * It as a trace, straight from point to point, with how cold and how hot it may have been:
   * silences at either of their ends, and what is assumed as far off as it may be.
   *
   * @param fromHours from then on
   * @param toHours to before then
   */
  public Warmth warmth(double fromHours, double toHours) {
    List<Trace.Point> usual = new ArrayList<>();
    List<Trace.Point> coldest = new ArrayList<>();
    List<Trace.Point> hottest = new ArrayList<>();
    boolean[] readBefore = {false};
    walk(
        (hours, celsius, read) -> {
          if (hours >= fromHours && hours < toHours) {
            if (read && readBefore[0]) {
              Readings.bridgeTo(coldest, hours, celsius, false);
              Readings.bridgeTo(hottest, hours, celsius, true);
            }
            double within = read ? 0 : withinC(hours);
            usual.add(new Trace.Point(hours, celsius));
            coldest.add(new Trace.Point(hours, celsius - within));
            hottest.add(new Trace.Point(hours, celsius + within));
          }
          readBefore[0] = read;
        });
    return new Warmth(new Trace(usual), new Trace(coldest), new Trace(hottest));
  }

  private double withinC(double hours) {
    return assumed.stream()
        .filter(a -> a.trace().points().get(0).hours() <= hours + SAME_HOURS)
        .reduce((earlier, later) -> later)
        .map(Assumed::withinC)
        .orElse(Assumed.WITHIN_C);
  }
}
