package velvetcrock.core.measure;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads days, as they are said on one. */
final class DayWords {
  private static final int CENTURY = 2000;
  private static final Pattern ISO_DATE = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
  private static final Pattern DAY_MONTH =
      Pattern.compile("(\\d{1,2})(?:st|nd|rd|th|\\.)? ?(?:of )?([a-z]{3,9})\\.?(?:,? (\\d{4}))?");
  private static final Pattern MONTH_DAY =
      Pattern.compile("([a-z]{3,9})\\.? (\\d{1,2})(?:st|nd|rd|th)?(?:,? (\\d{4}))?");
  private static final Pattern FIGURES =
      Pattern.compile("(\\d{1,2})[/.](\\d{1,2})(?:[/.](\\d{2,4})?)?");

  private final LocalDate today;
  private final boolean monthFirst;
  private final boolean ahead;

  /** Days that have been, seen from today. */
  DayWords(LocalDate today, boolean monthFirst) {
    this(today, monthFirst, false);
  }

  private DayWords(LocalDate today, boolean monthFirst, boolean ahead) {
    this.today = today;
    this.monthFirst = monthFirst;
    this.ahead = ahead;
  }

  /** Days to come, seen from today. */
  static DayWords ahead(LocalDate today, boolean monthFirst) {
    return new DayWords(today, monthFirst, true);
  }

  /**
   * A day, the last one of its name or date, or the next where days to come are read.
   *
   * @return null where it is none
   * @throws DateTimeException where it is one that there is not, such as 31 February
   */
  @Nullable LocalDate day(String text) {
    switch (text) {
      case "today":
        return today;
      case "tomorrow":
        return today.plusDays(1);
      case "yesterday":
        return today.minusDays(1);
      case "the day before yesterday":
        return today.minusDays(2);
      default:
        break;
    }
    String name = text.replaceAll("^(?:last|next|on|this) ", "");
    for (DayOfWeek weekday : DayOfWeek.values()) {
      if (shortened(name, weekday.name())) {
        return today.with(
            ahead ? TemporalAdjusters.next(weekday) : TemporalAdjusters.previous(weekday));
      }
    }
    return date(text);
  }

  private @Nullable LocalDate date(String text) {
    Matcher iso = ISO_DATE.matcher(text);
    if (iso.matches()) {
      return LocalDate.of(
          Integer.parseInt(iso.group(1)),
          Integer.parseInt(iso.group(2)),
          Integer.parseInt(iso.group(3)));
    }
    Matcher dayMonth = DAY_MONTH.matcher(text);
    Month month = dayMonth.matches() ? month(dayMonth.group(2)) : null;
    if (month != null) {
      return inYear(dayMonth.group(3), month.getValue(), Integer.parseInt(dayMonth.group(1)));
    }
    Matcher monthDay = MONTH_DAY.matcher(text);
    month = monthDay.matches() ? month(monthDay.group(1)) : null;
    if (month != null) {
      return inYear(monthDay.group(3), month.getValue(), Integer.parseInt(monthDay.group(2)));
    }
    Matcher figures = FIGURES.matcher(text);
    if (figures.matches()) {
      int one = Integer.parseInt(figures.group(1));
      int other = Integer.parseInt(figures.group(2));
      return monthFirst
          ? inYear(figures.group(3), one, other)
          : inYear(figures.group(3), other, one);
    }
    return null;
  }

  /** A day of the year said, or of the nearest year on the side that is read. */
  private LocalDate inYear(@Nullable String year, int month, int day) {
    if (year != null && !year.isEmpty()) {
      int said = Integer.parseInt(year);
      return LocalDate.of(said < CENTURY / 2 ? CENTURY + said : said, month, day);
    }
    LocalDate thisYear = LocalDate.of(today.getYear(), month, day);
    if (ahead) {
      return thisYear.isAfter(today) ? thisYear : thisYear.plusYears(1);
    }
    return thisYear.isAfter(today) ? thisYear.minusYears(1) : thisYear;
  }

  private static @Nullable Month month(String name) {
    return Stream.of(Month.values())
        .filter(m -> shortened(name, m.name()))
        .findFirst()
        .orElse(null);
  }

  /** Whether a word is a name or its beginning, of three letters at least. */
  private static boolean shortened(String word, String name) {
    return word.length() >= 3 && name.toLowerCase(Locale.ROOT).startsWith(word);
  }
}
