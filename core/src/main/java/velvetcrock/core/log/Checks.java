package velvetcrock.core.log;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * What every event has to hold, whoever sends it: a log that cannot be read back is worth nothing.
 */
public final class Checks {
  private static final int LONGEST_TEXT = 12_000;
  private static final int MOST = 100;

  private Checks() {}

  /** Refuses nothing at all. */
  public static void present(String field, @Nullable Object value) {
    if (value == null) {
      throw new Refused(field, "This is missing.");
    }
  }

  /** Refuses no text, and one that is endless. */
  public static void text(String field, @Nullable String text) {
    present(field, text);
    if (text.length() > LONGEST_TEXT) {
      throw new Refused(field, "At most " + LONGEST_TEXT + " letters.");
    }
  }

  /** Refuses what lies outside, both ends included, and what is no number. */
  public static void within(String field, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new Refused(field, "Between " + low + " and " + high + "; " + value + " was read.");
    }
  }

  /** The list, copied; refused if it is missing, empty, holds nothing in a place, or is endless. */
  public static <T> List<T> some(String field, @Nullable List<T> list) {
    if (list == null || list.isEmpty() || list.size() > MOST) {
      throw new Refused(field, "Between 1 and " + MOST + " of them.");
    }
    if (list.stream().anyMatch(Objects::isNull)) {
      throw new Refused(field, "One of them is missing.");
    }
    return List.copyOf(list);
  }
}
