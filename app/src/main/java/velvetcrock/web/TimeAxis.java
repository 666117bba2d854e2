package velvetcrock.web;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetcrock.core.outlook.Span;

/**
 * Days laid along a line, in percent of its length.
 *
 * @param until after {@code from}
 */
public record TimeAxis(LocalDateTime from, LocalDateTime until) {
  private static final int[] STEPS = {1, 2, 3, 7, 14, 28, 61, 122, 183, 366};
  private static final int A_MONTH = 28;
  private static final float DAYS_PER_MONTH = 30.44f;
  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("LLLL", Locale.ENGLISH);
  private static final DateTimeFormatter MONTH_OF_YEAR =
      DateTimeFormatter.ofPattern("LLL yyyy", Locale.ENGLISH);
  private static final int A_YEAR = 366;
  private static final int MOST_TICKS = 7;
  private static final double WHOLE = 100;
  private static final int BOX = 10_000;
  private static final double LEAST_WIDTH = 0.7;
  private static final double LABEL_ROOM = 6;

  /**
   * A day that is named on the line.
   *
   * @param at where it lies
   * @param anchor which part of the words stands there, as SVG says it
   */
  public record Tick(String words, String at, String anchor) {}

  /** A piece of the line. */
  public record Piece(String x, String width) {}

  /** Where a moment lies, within the line. */
  public double at(LocalDateTime moment) {
    double all = ChronoUnit.MINUTES.between(from, until);
    double share = ChronoUnit.MINUTES.between(from, moment) / all;
    return WHOLE * Math.max(0, Math.min(1, share));
  }

  /** Where a moment lies, as an SVG attribute. */
  public String percent(LocalDateTime moment) {
    return percent(at(moment));
  }

  /**
   * Strokes where moments lie, as an SVG path in a box of {@value #BOX} by 1.
   *
   * @param most as many as are drawn
   */
  public String strokes(Stream<LocalDateTime> moments, int most) {
    return moments
        .mapToLong(moment -> Math.round(at(moment) * BOX / WHOLE))
        .distinct()
        .limit(most)
        .mapToObj(x -> "M" + x + " 0v1")
        .collect(Collectors.joining());
  }

  private static String percent(double value) {
    return Math.round(value * 100) / 100.0 + "%";
  }

  /** Names a day wherever it lies; near the end its words stand before it, within the line. */
  public Tick tick(String words, LocalDateTime day) {
    double at = at(day);
    return new Tick(words, percent(at), nearTheEnd(at) ? "end" : "middle");
  }

  private static boolean nearTheEnd(double at) {
    return at > WHOLE - 2 * LABEL_ROOM;
  }

  /** A span as a piece, never too thin to see. */
  public Piece piece(Span span) {
    double x = at(span.from());
    double width = Math.max(LEAST_WIDTH, at(span.until()) - x);
    return new Piece(percent(Math.min(x, WHOLE - width)), percent(width));
  }

  /** Named days, as many as fit, none where another word stands. */
  public List<Tick> ticks(Formats fmt, LocalDateTime taken) {
    long days = Math.max(1, ChronoUnit.DAYS.between(from, until));
    int step = STEPS[STEPS.length - 1];
    for (int candidate : STEPS) {
      if (days / candidate <= MOST_TICKS) {
        step = candidate;
        break;
      }
    }
    List<Tick> ticks = new ArrayList<>();
    boolean months = step >= A_MONTH;
    int each = Math.round(step / DAYS_PER_MONTH);
    LocalDate day =
        months
            ? from.toLocalDate().withDayOfMonth(1).plusMonths(1)
            : from.toLocalDate().plusDays(step);
    for (;
        day.atStartOfDay().isBefore(until);
        day = months ? day.plusMonths(each) : day.plusDays(step)) {
      double at = at(day.atStartOfDay());
      boolean free = Math.abs(at - at(taken)) > (nearTheEnd(at(taken)) ? 6 : 2) * LABEL_ROOM;
      if (free && at > LABEL_ROOM && at < WHOLE - LABEL_ROOM) {
        String words =
            months ? day.format(days > A_YEAR ? MONTH_OF_YEAR : MONTH) : fmt.shortDate(day);
        ticks.add(new Tick(words, percent(at), "middle"));
      }
    }
    return ticks;
  }
}
