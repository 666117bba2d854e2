package velvetcrock.drawer;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.outlook.Span;
import velvetcrock.core.stock.StockAhead;
import velvetcrock.web.Formats;
import velvetcrock.web.TimeAxis;

/**
 * The drawer and the bottles a year ahead: until when each thing lasts, what goes over, and what is
 * to be done by when.
 *
 * @param quiet how many things last the year and spoil nothing
 */
record StockAheadView(
    List<TimeAxis.Tick> ticks, List<Lane> lanes, List<Errand> errands, int quiet) {
  private static final int MONTHS_AHEAD = 12;

  /**
   * A thing with its name.
   *
   * @param kind says what it is counted in
   * @param link where it is shown
   */
  record Named(String name, Kind kind, String link, StockAhead ahead) {}

  /**
   * A thing along the year.
   *
   * @param lasts until when there is some of it
   * @param spoils where the first of it spoils; null where none does
   * @param season when it can be gathered; null where it is bought or not wanted
   */
  record Lane(
      String name,
      String amount,
      String link,
      TimeAxis.Piece lasts,
      @Nullable String spoils,
      TimeAxis.@Nullable Piece season,
      List<String> facts,
      boolean runsOut,
      String words) {}

  /**
   * Something to do.
   *
   * @param first the first day that is told of it
   */
  record Errand(String when, String what, boolean soon, LocalDate first) {}

  static StockAheadView of(List<Named> all, LotWords words, Formats fmt) {
    LocalDateTime from = fmt.today().atStartOfDay();
    TimeAxis axis = new TimeAxis(from, from.plusMonths(MONTHS_AHEAD));
    List<Lane> lanes = new ArrayList<>();
    List<Errand> errands = new ArrayList<>();
    for (Named named : all) {
      if (!named.ahead().quiet()) {
        lanes.add(lane(named, axis, words, fmt));
        named.ahead().todo().forEach(todo -> errands.add(errand(named, todo, words, fmt)));
      }
    }
    errands.sort(Comparator.comparing(Errand::first));
    return new StockAheadView(axis.ticks(fmt, from), lanes, errands, all.size() - lanes.size());
  }

  private static Lane lane(Named named, TimeAxis axis, LotWords words, Formats fmt) {
    StockAhead ahead = named.ahead();
    Kind kind = named.kind();
    LocalDate out = ahead.runsOut();
    LocalDateTime until = out == null ? axis.until() : out.atStartOfDay();
    List<String> facts = new ArrayList<>();
    facts.add(
        ahead.perMonth() < 0.5
            ? "not used in the past year"
            : "about " + about(kind, ahead.perMonth(), words) + " a month");
    if (ahead.promised() > 0) {
      facts.add(about(kind, ahead.promised(), words) + " reserved for plans");
    }
    LocalDate spoils = ahead.goesOverOn();
    if (out != null && !out.equals(spoils)) {
      facts.add("runs out " + fmt.date(out));
    }
    if (spoils != null) {
      facts.add(
          about(kind, ahead.goesOver(), words)
              + (pastDate(ahead, fmt) ? " is past its date" : " will expire " + fmt.date(spoils)));
    }
    return new Lane(
        named.name(),
        words.amount(kind, ahead.amount()),
        named.link(),
        axis.piece(new Span(axis.from(), until.isBefore(axis.from()) ? axis.from() : until)),
        spoils == null ? null : axis.percent(spoils.atStartOfDay()),
        ahead.todo().stream()
            .filter(t -> t.doing() == StockAhead.Doing.GATHER)
            .findFirst()
            .map(
                t ->
                    axis.piece(
                        new Span(t.from().atStartOfDay(), t.by().plusDays(1).atStartOfDay())))
            .orElse(null),
        facts,
        out != null,
        named.name() + ": " + String.join(", ", facts));
  }

  private static boolean pastDate(StockAhead ahead, Formats fmt) {
    return ahead.goesOverOn() != null && ahead.goesOverOn().isBefore(fmt.today());
  }

  /** An amount without more digits than an outlook on a year is worth. */
  private static String about(Kind kind, double amount, LotWords words) {
    double to = amount >= 100 ? 10 : amount >= 20 ? 5 : 1;
    return words.amount(kind, Math.max(1, Math.round(amount / to) * to));
  }

  private static Errand errand(Named named, StockAhead.Todo todo, LotWords words, Formats fmt) {
    String name = named.name().toLowerCase(Locale.ROOT);
    String amount = about(named.kind(), todo.amount(), words);
    String what =
        switch (todo.doing()) {
          case SOW -> "Sow " + name;
          case GATHER -> "Gather " + amount + " of fresh " + name;
          case DRY -> "Have " + amount + " of " + name + " dry and put away";
          case BUY -> "Buy " + amount + " of " + name;
          case CHARGE ->
              "Charge a jar for "
                  + amount
                  + " of "
                  + name
                  + ": a cold one is ready as the last is used";
          case USE ->
              pastDate(named.ahead(), fmt)
                  ? "Look at and smell "
                      + amount
                      + " of "
                      + name
                      + ": past its date; throw out what has turned"
                  : "Use or give away " + amount + " of " + name + " before it spoils";
        };
    boolean begun = !todo.from().isAfter(fmt.today());
    String when =
        todo.by().equals(fmt.today())
            ? "now"
            : begun ? "by " + fmt.date(todo.by()) : fmt.dates(todo.from(), todo.by());
    return new Errand(
        when, what, !todo.by().isAfter(fmt.today().plusWeeks(2)), begun ? todo.by() : todo.from());
  }
}
