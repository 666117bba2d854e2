package velvetcrock.core.measure;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.zone.ZoneOffsetTransition;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * Reads when something happened, as people say it, seen from a moment in a household.
 *
 * <pre>
 * said   = "now" | ago | [("first" | "second")] (moment | day)
 * ago    = number ("min" | "h" | "days" | "weeks") "ago"
 * moment = date "T" clock | day ["at"] clock | clock [day] | day part | part day | part
 * day    = "today" | "yesterday" | "the day before yesterday" | ["last"] weekday | date
 * date   = 2026-11-28 | "28 Nov [2026]" | "Nov 28[, 2026]" | 28/11[/2026], as the household orders it
 * part   = "morning" | "noon" | "afternoon" | "evening" | "night" | "tonight" | "last night" | …
 * clock  = 9 | 9:15 | 9.15 | "9 am" | 21h | "noon" | "midnight" | "half past nine" | "quarter to 4"
 * </pre>
 *
 * <p>A time of day alone that would lie ahead is yesterday’s. A part of a day is a span that ends
 * now at the latest, and its middle stands for it. A time that a clock change skipped is refused;
 * one that came twice is asked, and {@code first} or {@code second} answers.
 */
public final class MomentReader {
  private static final int LONGEST_TEXT = 60;
  private static final Duration NOT_AHEAD = Duration.ofMinutes(5);

  private static final Pattern PICKED =
      Pattern.compile("(\\d{4}-\\d{2}-\\d{2})[t ](\\d{2}:\\d{2}(?::\\d{2})?)");
  private static final Pattern AGO =
      Pattern.compile(
          "(?:about |around )?(.+?) ?(min|mins|minutes?|h|hrs?|hours?|days?|weeks?)"
              + "( and a (?:half|quarter))? ago");

  /** The hours of a part of a day, from and until; a night reaches into the next day. */
  private static final Map<String, int[]> PARTS =
      Map.ofEntries(
          Map.entry("early morning", new int[] {5, 8}),
          Map.entry("morning", new int[] {6, 12}),
          Map.entry("breakfast", new int[] {7, 9}),
          Map.entry("noon", new int[] {12, 12}),
          Map.entry("midday", new int[] {12, 12}),
          Map.entry("lunch", new int[] {12, 14}),
          Map.entry("lunchtime", new int[] {12, 14}),
          Map.entry("afternoon", new int[] {12, 18}),
          Map.entry("dinner", new int[] {17, 20}),
          Map.entry("evening", new int[] {18, 22}),
          Map.entry("bedtime", new int[] {21, 24}),
          Map.entry("night", new int[] {21, 30}));

  private static final String EXPECTED =
      " Write it as 9:15, yesterday 18:00, an hour ago, this morning or 28 Nov 14:30.";

  private final ZonedDateTime now;
  private final DayWords days;

  /**
   * A reader.
   *
   * @param monthFirst whether the household writes the month of a date before its day
   */
  public MomentReader(Instant now, ZoneId zone, boolean monthFirst) {
    this.now = now.atZone(zone);
    this.days = new DayWords(this.now.toLocalDate(), monthFirst);
  }

  /**
   * When something happened.
   *
   * @param at what stands for it
   * @param from when it was at the earliest
   * @param to when it was at the latest
   */
  public record Moment(Instant at, Instant from, Instant to) {
    private static Moment of(Instant at) {
      return new Moment(at, at, at);
    }

    private static Moment between(Instant from, Instant to) {
      return new Moment(from.plus(Duration.between(from, to).dividedBy(2)), from, to);
    }

    /** Whether it is known to the minute. */
    public boolean exact() {
      return from.equals(to);
    }
  }

  private record Span(LocalDateTime from, LocalDateTime to) {}

  /**
   * Reads one.
   *
   * @throws Refused at {@code text}, with what was expected, or what the clocks did then
   */
  public Moment read(String typed) {
    String text =
        typed
            .strip()
            .toLowerCase(Locale.ROOT)
            .replace('’', '\'')
            .replaceAll("\\s+", " ")
            .replaceAll("^(?:on|at|in the|during the|about|around|ca\\.?|c\\.) ", "");
    if (text.length() > LONGEST_TEXT) {
      throw new Refused("text", "That is " + text.length() + " characters long." + EXPECTED);
    }
    try {
      return text.matches("|now|just now|right now") ? Moment.of(now.toInstant()) : said(text);
    } catch (DateTimeException | NumberFormatException e) {
      throw new Refused("text", "“" + typed.strip() + "” is no time." + EXPECTED);
    }
  }

  private Moment said(String text) {
    Matcher ago = AGO.matcher(text);
    if (ago.matches()) {
      return ago(ago);
    }
    boolean first = text.startsWith("first ");
    boolean second = text.startsWith("second ");
    String rest = first ? text.substring(6) : second ? text.substring(7) : text;
    Span span = span(rest);
    if (span.from().equals(span.to())) {
      return Moment.of(moment(span.from(), first, second));
    }
    Instant from = span.from().atZone(now.getZone()).toInstant();
    Instant to = span.to().atZone(now.getZone()).toInstant();
    Instant last = to.isAfter(now.toInstant()) ? now.toInstant() : to;
    return from.isAfter(last) ? Moment.of(from) : Moment.between(from, last);
  }

  private Moment ago(Matcher said) {
    String more = said.group(3) == null ? "" : said.group(3);
    double count =
        NumberWords.count(said.group(1))
            + (more.isEmpty() ? 0 : more.endsWith("half") ? 0.5 : 0.25);
    double hours =
        switch (said.group(2).charAt(0)) {
          case 'm' -> 1 / 60.0;
          case 'h' -> 1;
          case 'd' -> 24;
          default -> 24 * 7;
        };
    return Moment.of(now.toInstant().minusSeconds(Math.round(count * hours * 3600)));
  }

  private Span span(String text) {
    Matcher iso = PICKED.matcher(text);
    if (iso.matches()) {
      LocalDateTime at = LocalDate.parse(iso.group(1)).atTime(LocalTime.parse(iso.group(2)));
      return new Span(at, at);
    }
    switch (text) {
      case "tonight":
        return part(now.toLocalDate(), "evening");
      case "last night":
        return part(now.toLocalDate().minusDays(1), "night");
      case "overnight":
        return part(now.toLocalDate().minusDays(1), "night");
      default:
        break;
    }
    if (text.startsWith("this ") && PARTS.containsKey(text.substring(5))) {
      return part(now.toLocalDate(), text.substring(5));
    }
    LocalTime alone = ClockWords.clock(text);
    if (alone != null) {
      LocalDateTime today = now.toLocalDate().atTime(alone);
      boolean ahead = today.isAfter(now.toLocalDateTime().plus(NOT_AHEAD));
      LocalDateTime at = ahead ? today.minusDays(1) : today;
      return new Span(at, at);
    }
    if (PARTS.containsKey(text)) {
      return part(now.toLocalDate(), text);
    }
    for (int cut = text.indexOf(' '); cut > 0; cut = text.indexOf(' ', cut + 1)) {
      String head = text.substring(0, cut).replaceAll(",$", "");
      String tail = text.substring(cut + 1).replaceAll("^(?:at|on|in the|about|around) ", "");
      Span found = dayAnd(head, tail);
      found = found == null ? dayAnd(tail, head.replaceAll(" (?:on|at)$", "")) : found;
      if (found != null) {
        return found;
      }
    }
    LocalDate day = days.day(text);
    if (day == null) {
      throw new DateTimeException(text);
    }
    if (day.equals(now.toLocalDate())) {
      return new Span(now.toLocalDateTime(), now.toLocalDateTime());
    }
    return new Span(day.atStartOfDay(), day.plusDays(1).atStartOfDay());
  }

  private @Nullable Span dayAnd(String dayText, String clockText) {
    LocalDate day = days.day(dayText);
    if (day == null) {
      return null;
    }
    if (PARTS.containsKey(clockText)) {
      return part(day, clockText);
    }
    LocalTime time = ClockWords.clock(clockText);
    return time == null ? null : new Span(day.atTime(time), day.atTime(time));
  }

  private static Span part(LocalDate day, String name) {
    int[] hours = PARTS.getOrDefault(name, new int[] {0, 0});
    LocalDateTime midnight = day.atStartOfDay();
    return new Span(midnight.plusHours(hours[0]), midnight.plusHours(hours[1]));
  }

  private Instant moment(LocalDateTime local, boolean first, boolean second) {
    List<ZoneOffset> valid = now.getZone().getRules().getValidOffsets(local);
    if (valid.size() == 1) {
      return local.toInstant(valid.get(0));
    }
    ZoneOffsetTransition change = now.getZone().getRules().getTransition(local);
    DateTimeFormatter clock = DateTimeFormatter.ofPattern("H:mm", Locale.ROOT);
    String hands =
        Stream.of(change.getDateTimeBefore(), change.getDateTimeAfter())
            .map(clock::format)
            .collect(Collectors.joining(" to "));
    String time = clock.format(local);
    if (valid.isEmpty()) {
      throw new Refused(
          "text", time + " was skipped that night: the clocks went from " + hands + ".");
    }
    if (!first && !second) {
      throw new Refused(
          "text",
          time
              + " came twice that night: the clocks went from "
              + hands
              + ". Write “first "
              + time
              + "” or “second "
              + time
              + "”, with the day where that is not today.");
    }
    return local.toInstant(valid.get(first ? 0 : 1));
  }
}
