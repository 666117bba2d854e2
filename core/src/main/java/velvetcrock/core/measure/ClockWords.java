package velvetcrock.core.measure;

import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads times of day. */
final class ClockWords {
  private static final int NOON = 12;
  private static final int HOURS = 24;
  private static final Pattern CLOCK =
      Pattern.compile(
          "(\\d{1,2})(?:[:.](\\d{2})(?::\\d{2})?)? ?(am|pm|a\\.m\\.|p\\.m\\.|h|o.clock)?");
  private static final Pattern PAST =
      Pattern.compile("(half|quarter|five|ten|twenty|\\d{1,2}) ?(past|to) (\\w+)");

  private ClockWords() {}

  /**
   * A time of day.
   *
   * @return null where it is none
   * @throws DateTimeException where it is one that there is not, such as 25:00
   */
  static @Nullable LocalTime clock(String text) {
    switch (text) {
      case "noon", "midday":
        return LocalTime.NOON;
      case "midnight":
        return LocalTime.MIDNIGHT;
      default:
        break;
    }
    Matcher past = PAST.matcher(text);
    if (past.matches()) {
      return past(past);
    }
    Matcher clock = CLOCK.matcher(text);
    if (!clock.matches()) {
      Integer hour = NumberWords.CARDINALS.get(text.replace(" o'clock", ""));
      return hour == null || hour > NOON ? null : LocalTime.of(hour % HOURS, 0);
    }
    int hour = Integer.parseInt(clock.group(1));
    String half = clock.group(3) == null ? "" : clock.group(3);
    if (half.startsWith("a") || half.startsWith("p")) {
      if (hour < 1 || hour > NOON) {
        throw new DateTimeException(text);
      }
      hour = hour % NOON + (half.startsWith("p") ? NOON : 0);
    }
    int minute = clock.group(2) == null ? 0 : Integer.parseInt(clock.group(2));
    return LocalTime.of(hour == HOURS ? 0 : hour, minute);
  }

  private static @Nullable LocalTime past(Matcher said) {
    int minutes =
        switch (said.group(1)) {
          case "half" -> 30;
          case "quarter" -> 15;
          case "five" -> 5;
          case "ten" -> 10;
          case "twenty" -> 20;
          default -> Integer.parseInt(said.group(1));
        };
    LocalTime hour = clock(said.group(3));
    boolean after = said.group(2).equals("past");
    return hour == null ? null : after ? hour.plusMinutes(minutes) : hour.minusMinutes(minutes);
  }
}
