package velvetcrock.web;

import com.ibm.icu.text.DateTimePatternGenerator;
import com.ibm.icu.util.ULocale;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAccessor;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Dates and times as one household writes them, by the patterns of Unicode’s locale data. */
final class DateWords {
  private static final Map<Customs, DateWords> MADE = new ConcurrentHashMap<>();

  private final DateTimeFormatter day;
  private final DateTimeFormatter full;
  private final DateTimeFormatter brief;
  private final DateTimeFormatter briefWithYear;
  private final DateTimeFormatter month;
  private final DateTimeFormatter weekday;
  private final DateTimeFormatter time;

  private DateWords(Customs customs) {
    boolean iso = customs.dates() == Customs.Dates.YEAR_FIRST;
    // the order of a date is chosen apart from the spelling of its month
    ULocale order = customs.dates() == Customs.Dates.MONTH_FIRST ? ULocale.US : ULocale.UK;
    day = made("MMMMd", order, customs);
    full = iso ? DateTimeFormatter.ISO_LOCAL_DATE : made("yMMMMd", order, customs);
    brief = made("MMMd", order, customs);
    briefWithYear = iso ? DateTimeFormatter.ISO_LOCAL_DATE : made("yMMMd", order, customs);
    month = made("yMMMM", order, customs);
    weekday = made("EEEE", order, customs);
    time = made(customs.clock() == Customs.Clock.HOURS_24 ? "HHmm" : "hmm", ULocale.UK, customs);
  }

  static DateWords of(Customs customs) {
    return MADE.computeIfAbsent(customs, DateWords::new);
  }

  private static DateTimeFormatter made(String skeleton, ULocale order, Customs customs) {
    String pattern = DateTimePatternGenerator.getInstance(order).getBestPattern(skeleton);
    return DateTimeFormatter.ofPattern(pattern.replace('\u202f', ' '), customs.spelling().locale());
  }

  String day(LocalDate date) {
    return date.format(day);
  }

  String full(LocalDate date) {
    return date.format(full);
  }

  String brief(LocalDate date) {
    return date.format(brief);
  }

  String briefWithYear(LocalDate date) {
    return date.format(briefWithYear);
  }

  String month(LocalDate date) {
    return date.format(month);
  }

  String weekday(TemporalAccessor date) {
    return weekday.format(date);
  }

  String time(ZonedDateTime at) {
    return at.format(time);
  }
}
