package velvetcrock.stove;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.heat.Reduced;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.web.Formats;

/**
 * A trace for drawing, in the household's degrees: seconds since 1970, what was read and what is
 * assumed, each empty where the other holds or the line breaks.
 *
 * @param low lower end of the band
 * @param high its upper end
 * @param ceiling what it should not pass
 * @param of how many readings it stands for
 */
record TraceOut(
    List<Double> at,
    List<@Nullable Double> read,
    List<@Nullable Double> assumed,
    double low,
    double high,
    double ceiling,
    String unit,
    int of) {

  static TraceOut of(LivePot pot, PotHeat heat, Span span, int columns, Formats fmt) {
    Reduced reduced = pot.reduced(span, columns);
    List<Mark> marks = new ArrayList<>();
    reduced.points().forEach(p -> marks.add(new Mark(p.millis(), degrees(p.celsius(), fmt), null)));
    for (Assumed assumed : heat.assumed()) {
      for (Trace.Point point : assumed.trace().points()) {
        long millis = heat.zeroMillis() + Math.round(point.hours() * 3_600_000);
        if (millis >= span.fromMillis() && millis < span.toMillis()) {
          marks.add(new Mark(millis, null, degrees(point.celsius(), fmt)));
        }
      }
    }
    marks.sort(java.util.Comparator.comparingLong(Mark::millis));
    return new TraceOut(
        marks.stream().map(m -> m.millis() / 1000.0).toList(),
        list(marks, Mark::read),
        list(marks, Mark::assumed),
        fmt.inDegrees(heat.goal().band().lowC()),
        fmt.inDegrees(heat.goal().band().highC()),
        fmt.inDegrees(heat.goal().ceilingC()),
        fmt.degreeUnit(),
        reduced.from());
  }

  private static List<@Nullable Double> list(
      List<Mark> marks, java.util.function.Function<Mark, @Nullable Double> what) {
    List<@Nullable Double> values = new ArrayList<>(marks.size());
    marks.forEach(m -> values.add(what.apply(m)));
    return values;
  }

  private static @Nullable Double degrees(@Nullable Double celsius, Formats fmt) {
    return celsius == null ? null : Math.round(fmt.inDegrees(celsius) * 100) / 100.0;
  }

  /** A stretch of time, ms since 1970. */
  record Span(long fromMillis, long toMillis) {
    static final Span ALL = new Span(Long.MIN_VALUE, Long.MAX_VALUE);

    boolean isAll() {
      return equals(ALL);
    }
  }

  private record Mark(long millis, @Nullable Double read, @Nullable Double assumed) {}
}
