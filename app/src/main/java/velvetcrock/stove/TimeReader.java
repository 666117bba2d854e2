package velvetcrock.stove;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Reads the times that loggers write: ISO 8601 with or without its offset, days first or months
 * first, twelve hours or twenty-four, seconds or milliseconds since 1970.
 */
final class TimeReader {
  private static final Pattern DAY =
      Pattern.compile("(\\d{1,4})[-./](\\d{1,2})[-./](\\d{1,4})[T ,]*(.*)");
  private static final Pattern CLOCK =
      Pattern.compile(
          "(\\d{1,2}):(\\d{2})(?::(\\d{2})(?:[.,](\\d{1,9}))?)?\\s*(am|pm|a\\.m\\.|p\\.m\\.)?"
              + "\\s*(z|utc|gmt|[+-]\\d{2}:?\\d{2})?");
  private static final Pattern SINCE_1970 = Pattern.compile("\\d{9,13}(?:\\.\\d+)?");
  private static final int MILLIS_DIGITS = 12;
  private static final int NOON = 12;
  private static final int LAST_MONTH = 12;
  private static final int FIRST_YEAR = 1000;
  private static final int CENTURY = 2000;

  private final @Nullable LocalClock clock;
  private final Order order;
  private String dayText = "";
  private long epochDay;

  /** In which order a date with slashes or dots names its day and month. */
  enum Order {
    /** Not said. */
    UNKNOWN,
    /** Day, month, year. */
    DAY_FIRST,
    /** Month, day, year. */
    MONTH_FIRST
  }

  /**
   * A reader.
   *
   * @param clock of times that do not name their zone; null to refuse them
   */
  TimeReader(@Nullable LocalClock clock, Order order) {
    this.clock = clock;
    this.order = order;
  }

  /** Whether a text can be a time at all, in whatever order. */
  static boolean looksLikeOne(String text) {
    String t = text.strip();
    return SINCE_1970.matcher(t).matches() || DAY.matcher(t).matches();
  }

  /** What a date says of the order of its day and month. */
  static Order orderOf(String text) {
    Matcher day = DAY.matcher(text.strip());
    if (!day.matches() || day.group(1).length() == 4) {
      return Order.UNKNOWN;
    }
    boolean firstIsDay = Integer.parseInt(day.group(1)) > LAST_MONTH;
    boolean secondIsDay = Integer.parseInt(day.group(2)) > LAST_MONTH;
    return firstIsDay ? Order.DAY_FIRST : secondIsDay ? Order.MONTH_FIRST : Order.UNKNOWN;
  }

  /** Whether reading it takes knowing the order of day and month. */
  static boolean needsOrder(String text) {
    Matcher day = DAY.matcher(text.strip());
    return day.matches() && day.group(1).length() < 4;
  }

  /** Whether it says where its clock stands. */
  static boolean namesZone(String text) {
    String t = text.strip().toLowerCase(Locale.ROOT);
    return SINCE_1970.matcher(t).matches()
        || t.endsWith("z")
        || t.endsWith("utc")
        || t.endsWith("gmt")
        || t.matches(".*\\d{2}:\\d{2}.*[+-]\\d{2}:?\\d{2}");
  }

  /**
   * Reads one.
   *
   * @throws DateTimeException if it is none, or names no zone and none is given
   */
  Instant read(String text) {
    String t = text.strip();
    Instant iso = isoLocal(t);
    if (iso != null) {
      return iso;
    }
    if (SINCE_1970.matcher(t).matches()) {
      double number = Double.parseDouble(t);
      boolean millis = t.indexOf('.') < 0 && t.length() >= MILLIS_DIGITS;
      return Instant.ofEpochMilli(Math.round(millis ? number : number * 1000));
    }
    Matcher day = DAY.matcher(t);
    if (!day.matches()) {
      throw new DateTimeException("no date");
    }
    Matcher hands = CLOCK.matcher(day.group(4).strip().toLowerCase(Locale.ROOT));
    if (!hands.matches()) {
      throw new DateTimeException("no time of day");
    }
    LocalDateTime local = LocalDateTime.of(date(day), time(hands));
    String offset = hands.group(6);
    if (offset == null) {
      return inZone(local);
    }
    return Character.isLetter(offset.charAt(0))
        ? local.toInstant(ZoneOffset.UTC)
        : OffsetDateTime.of(local, ZoneOffset.of(offset)).toInstant();
  }

  /** The commonest form, 2026-11-25T14:03:22 with a blank or a T and perhaps a Z, read quickly. */
  private @Nullable Instant isoLocal(String t) {
    boolean utc = t.length() == 20 && t.charAt(19) == 'Z';
    if (t.length() != 19 && !utc
        || t.charAt(4) != '-'
        || t.charAt(7) != '-'
        || t.charAt(13) != ':'
        || t.charAt(16) != ':'
        || clock == null && !utc) {
      return null;
    }
    if (!t.regionMatches(0, dayText, 0, 10) || dayText.isEmpty()) {
      epochDay = LocalDate.parse(t.substring(0, 10)).toEpochDay();
      dayText = t.substring(0, 10);
    }
    int hour = two(t, 11);
    int minute = two(t, 14);
    int second = two(t, 17);
    if (hour > 23 || minute > 59 || second > 59 || hour < 0 || minute < 0 || second < 0) {
      throw new DateTimeException("no time of day");
    }
    long local = epochDay * 86_400 + hour * 3600L + minute * 60L + second;
    return utc
        ? Instant.ofEpochSecond(local)
        : inZone(LocalDateTime.ofEpochSecond(local, 0, ZoneOffset.UTC));
  }

  private static int two(String t, int at) {
    int tens = t.charAt(at) - '0';
    int ones = t.charAt(at + 1) - '0';
    return tens < 0 || tens > 9 || ones < 0 || ones > 9 ? -1 : tens * 10 + ones;
  }

  private Instant inZone(LocalDateTime local) {
    if (clock == null) {
      throw new DateTimeException("no zone");
    }
    return clock.moment(local);
  }

  private LocalDate date(Matcher day) {
    int first = Integer.parseInt(day.group(1));
    int second = Integer.parseInt(day.group(2));
    int third = Integer.parseInt(day.group(3));
    if (day.group(1).length() == 4) {
      return LocalDate.of(first, second, third);
    }
    int year = third < FIRST_YEAR ? CENTURY + third % 100 : third;
    return order == Order.MONTH_FIRST
        ? LocalDate.of(year, first, second)
        : LocalDate.of(year, second, first);
  }

  private static LocalTime time(Matcher clock) {
    int hour = Integer.parseInt(clock.group(1));
    String half = clock.group(5);
    if (half != null) {
      hour = hour % NOON + (half.startsWith("p") ? NOON : 0);
    }
    int nanos =
        clock.group(4) == null
            ? 0
            : Integer.parseInt((clock.group(4) + "000000000").substring(0, 9));
    int seconds = clock.group(3) == null ? 0 : Integer.parseInt(clock.group(3));
    return LocalTime.of(hour, Integer.parseInt(clock.group(2)), seconds, nanos);
  }
}
