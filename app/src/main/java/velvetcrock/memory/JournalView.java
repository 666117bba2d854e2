package velvetcrock.memory;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.journal.JournalLine;
import velvetcrock.web.Formats;

/**
 * What was found in the journal, day by day.
 *
 * @param more whether there is more behind it
 */
record JournalView(List<Day> days, boolean more) {
  static final JournalView EMPTY = new JournalView(List.of(), false);

  /** A day’s lines. */
  record Day(String date, List<Line> lines) {}

  /** A line. */
  record Line(
      String subject,
      String about,
      String link,
      String when,
      String time,
      String title,
      String detail,
      String by,
      boolean struck) {
    static Line of(JournalLine line, Formats fmt) {
      return new Line(
          line.subject().name(),
          JournalView.about(line),
          line.subject().link(),
          fmt.date(fmt.date(line.at())),
          fmt.clock(line.at()),
          line.title(),
          line.detail(),
          line.by(),
          line.struck());
    }
  }

  /** The first thing that a line is about, unless that is its name already. */
  private static String about(JournalLine line) {
    String first = line.subject().about().split(", ", 2)[0];
    return line.subject().name().startsWith(first) ? "" : first;
  }

  static JournalView of(List<JournalLine> found, int most, Formats fmt) {
    List<Day> days = new ArrayList<>();
    LocalDate open = null;
    List<Line> lines = new ArrayList<>();
    for (JournalLine line : found.subList(0, Math.min(most, found.size()))) {
      LocalDate date = fmt.date(line.at());
      if (!date.equals(open)) {
        lines = new ArrayList<>();
        days.add(new Day(fmt.fullDate(date), lines));
        open = date;
      }
      lines.add(Line.of(line, fmt));
    }
    return new JournalView(days, found.size() > most);
  }
}
