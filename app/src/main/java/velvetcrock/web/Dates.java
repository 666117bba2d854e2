package velvetcrock.web;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/** Reads the dates of forms. */
public final class Dates {
  private static final int FIRST_YEAR = 1990;
  private static final int LAST_YEAR = 2100;

  private Dates() {}

  /**
   * A date as a date field sends it.
   *
   * @return null if nothing was typed
   * @throws Refused if it is no date, or not of this time
   */
  public static @Nullable LocalDate read(@Nullable String typed) {
    if (typed == null || typed.isBlank()) {
      return null;
    }
    try {
      LocalDate date = LocalDate.parse(typed.strip());
      if (date.getYear() < FIRST_YEAR || date.getYear() > LAST_YEAR) {
        throw new Refused("", "A year between 1990 and 2100; " + date.getYear() + " was read.");
      }
      return date;
    } catch (DateTimeParseException e) {
      throw new Refused("", "“" + typed.strip() + "” is not a date. Write it as 2026-12-05.");
    }
  }
}
