package velvetcrock.core.measure;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Refused;

/**
 * Reads until when something is to be left, as people say it, seen from a moment in a household.
 *
 * <pre>
 * said = number ["more" | "longer"] ("min" | "h" | "days" | "weeks" | "months") | day | clock | day clock
 * day  = "tomorrow" | ["next"] weekday | 2026-12-12 | "12 Dec" | 12/12, the next one ahead
 * </pre>
 *
 * <p>A day is meant from its morning on.
 */
public final class UntilReader {
  private static final int LONGEST_TEXT = 60;
  private static final Pattern FOR =
      Pattern.compile(
          "(?:for )?(?:about )?([\\d.,/½¼¾]+|.+?(?= ))(?: more| longer)? ?"
              + "(min|mins|minutes?|h|hrs?|hours?|days?|weeks?|months?)"
              + "( and a (?:half|quarter))?(?: more| longer)?");
  private static final Pattern DAY_CLOCK = Pattern.compile("(.+?),? (?:at )?(\\d.*|noon|midnight)");
  private static final String EXPECTED =
      " Write it as ten more days, a week, two hours, Saturday, 12 Dec or 21:30.";

  private final ZonedDateTime now;
  private final DayWords days;

  /**
   * A reader.
   *
   * @param monthFirst whether the household writes the month of a date before its day
   */
  public UntilReader(Instant now, ZoneId zone, boolean monthFirst) {
    this.now = now.atZone(zone);
    this.days = DayWords.ahead(this.now.toLocalDate(), monthFirst);
  }

  /**
   * Reads one.
   *
   * @throws Refused at {@code text} where it cannot be read, or is not ahead
   */
  public Instant read(String typed) {
    String text =
        typed.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ").replaceAll("^until ", "");
    if (text.isEmpty() || text.length() > LONGEST_TEXT) {
      throw new Refused("text", "Until when?" + EXPECTED);
    }
    try {
      Instant until = said(text);
      if (!until.isAfter(now.toInstant())) {
        throw new Refused("text", "“" + typed.strip() + "” is not ahead." + EXPECTED);
      }
      return until;
    } catch (DateTimeException | NumberFormatException e) {
      throw new Refused("text", "“" + typed.strip() + "” is no time ahead." + EXPECTED);
    }
  }

  private Instant said(String text) {
    Matcher span = FOR.matcher(text);
    if (span.matches()) {
      return after(count(span), span.group(2)).toInstant();
    }
    LocalTime clock = ClockWords.clock(text);
    if (clock != null) {
      ZonedDateTime today = now.toLocalDate().atTime(clock).atZone(now.getZone());
      return (today.isAfter(now) ? today : today.plusDays(1)).toInstant();
    }
    LocalDate day = days.day(text);
    if (day != null) {
      return day.atStartOfDay(now.getZone()).toInstant();
    }
    Matcher both = DAY_CLOCK.matcher(text);
    LocalDate on = both.matches() ? days.day(both.group(1)) : null;
    LocalTime at = on == null ? null : ClockWords.clock(both.group(2));
    if (on == null || at == null) {
      throw new DateTimeException(text);
    }
    return on.atTime(at).atZone(now.getZone()).toInstant();
  }

  private static double count(Matcher span) {
    String more = span.group(3) == null ? "" : span.group(3);
    double part = more.isEmpty() ? 0 : more.endsWith("half") ? 0.5 : 0.25;
    return part + NumberWords.count(span.group(1).replace("another", "one"));
  }

  /** Days and more end with the morning of a day, hours with the minute. */
  private ZonedDateTime after(double count, String unit) {
    LocalDate today = now.toLocalDate();
    return switch (unit.startsWith("mi") ? "min" : unit.substring(0, 1)) {
      case "min" -> now.plusSeconds(Math.round(count * 60));
      case "h" -> now.plusSeconds(Math.round(count * 3600));
      case "d" -> today.plusDays(Math.round(count)).atStartOfDay(now.getZone());
      case "w" -> today.plusDays(Math.round(count * 7)).atStartOfDay(now.getZone());
      default -> today.plusMonths(Math.round(count)).atStartOfDay(now.getZone());
    };
  }
}
