package velvetcrock.web;

import java.time.DayOfWeek;
import java.util.Currency;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * How one household writes dates, times and money, on what paper it prints, and what its labels
 * say.
 *
 * @param currency in which it pays; null where it never said
 */
public record Customs(
    Dates dates,
    DayOfWeek weekBegins,
    Clock clock,
    Paper paper,
    Spelling spelling,
    Contents contents,
    @Nullable Currency currency) {
  /** The order of a date. */
  public enum Dates {
    /** 5 December 2026. */
    DAY_FIRST,
    /** December 5, 2026. */
    MONTH_FIRST,
    /** 2026-12-05. */
    YEAR_FIRST
  }

  /** How the time of day is written. */
  public enum Clock {
    /** 14:05. */
    HOURS_24,
    /** 2:05 pm. */
    HOURS_12
  }

  /** What is printed on. */
  public enum Paper {
    /** 210 × 297 mm. */
    A4,
    /** 8½ × 11 in. */
    LETTER
  }

  /** Whose English. */
  public enum Spelling {
    /** Britain’s. */
    BRITISH(Locale.UK),
    /** America’s. */
    AMERICAN(Locale.US);

    private final Locale locale;

    Spelling(Locale locale) {
      this.locale = locale;
    }

    /** The locale in which figures and dates are written. */
    public Locale locale() {
      return locale;
    }
  }

  /** In which units labels tell what is in a vessel. */
  public enum Contents {
    /** In the household’s own. */
    OWN,
    /** In the household’s own and the other, as the law of some countries has it. */
    BOTH
  }

  /** As households write that were founded before each could be chosen by itself. */
  public static final Customs FORMER =
      new Customs(
          Dates.DAY_FIRST,
          DayOfWeek.MONDAY,
          Clock.HOURS_24,
          Paper.A4,
          Spelling.BRITISH,
          Contents.OWN,
          null);

  /** As is usual where a browser’s languages say that somebody lives. */
  public static Customs usual(Locale locale) {
    boolean american = locale.getCountry().equals("US");
    return american
        ? new Customs(
            Dates.MONTH_FIRST,
            DayOfWeek.SUNDAY,
            Clock.HOURS_12,
            Paper.LETTER,
            Spelling.AMERICAN,
            Contents.BOTH,
            Currency.getInstance("USD"))
        : new Customs(
            Dates.DAY_FIRST,
            DayOfWeek.MONDAY,
            Clock.HOURS_24,
            Paper.A4,
            Spelling.BRITISH,
            Contents.OWN,
            currency(locale));
  }

  private static @Nullable Currency currency(Locale locale) {
    try {
      return locale.getCountry().isEmpty() ? null : Currency.getInstance(locale);
    } catch (IllegalArgumentException e) {
      return null;
    }
  }
}
