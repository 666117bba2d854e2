package velvetcrock.plans;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.plan.Span;
import velvetcrock.web.Formats;

/**
 * Days laid along a line, in percent of its length.
 *
 * @param until after {@code from}
 */
record TimeAxis(LocalDateTime from, LocalDateTime until) {
  private static final int[] STEPS = {1, 2, 3, 7, 14, 28, 61, 122, 183, 366};
  private static final int MOST_TICKS = 7;
  private static final double WHOLE = 100;
  private static final double LEAST_WIDTH = 0.7;
  private static final double LABEL_ROOM = 6;

  /** A day that is named on the line. */
  record Tick(String words, String at) {}

  /** A piece of the line. */
  record Piece(String x, String width) {}

  /** Where a moment lies, within the line. */
  double at(LocalDateTime moment) {
    double all = ChronoUnit.MINUTES.between(from, until);
    double share = ChronoUnit.MINUTES.between(from, moment) / all;
    return WHOLE * Math.max(0, Math.min(1, share));
  }

  /** Where a moment lies, as an SVG attribute. */
  String percent(LocalDateTime moment) {
    return percent(at(moment));
  }

  private static String percent(double value) {
    return Math.round(value * 100) / 100.0 + "%";
  }

  /** A span as a piece, never too thin to see. */
  Piece piece(Span span) {
    double x = at(span.from());
    double width = Math.max(LEAST_WIDTH, at(span.until()) - x);
    return new Piece(percent(Math.min(x, WHOLE - width)), percent(width));
  }

  /** Named days, as many as fit, none where another word stands. */
  List<Tick> ticks(Formats fmt, LocalDateTime taken) {
    long days = Math.max(1, ChronoUnit.DAYS.between(from, until));
    int step = STEPS[STEPS.length - 1];
    for (int candidate : STEPS) {
      if (days / candidate <= MOST_TICKS) {
        step = candidate;
        break;
      }
    }
    List<Tick> ticks = new ArrayList<>();
    LocalDate day = from.toLocalDate().plusDays(step);
    for (; day.atStartOfDay().isBefore(until); day = day.plusDays(step)) {
      double at = at(day.atStartOfDay());
      boolean free = Math.abs(at - at(taken)) > 2 * LABEL_ROOM;
      if (free && at > LABEL_ROOM && at < WHOLE - LABEL_ROOM) {
        ticks.add(new Tick(fmt.shortDate(day), percent(at)));
      }
    }
    return ticks;
  }
}
