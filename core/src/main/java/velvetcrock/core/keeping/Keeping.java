package velvetcrock.core.keeping;

import java.time.LocalDate;
import java.util.List;
import velvetcrock.core.Reckoning;

/**
 * Until when an oil is good, and why.
 *
 * @param bestBefore last good day
 * @param span the earliest and the latest that it may be; {@code bestBefore} lies within
 * @param daysFromStraining days from straining to it, not negative
 * @param decidedBy the rule that gave the earliest date
 * @param startDays keeping that the carrier brought, days from charging to its own date
 * @param spentDays shelf life used while infusing, days
 * @param legs where keeping was and will be spent
 * @param lengthen what would give the most days, most first
 */
public record Keeping(
    LocalDate bestBefore,
    Span span,
    int daysFromStraining,
    Rule decidedBy,
    double startDays,
    double spentDays,
    List<Leg> legs,
    List<Gain> lengthen,
    Reckoning reckoning) {

  /** The rules by which dates are reckoned now; what was reckoned by others is reckoned anew. */
  public static final int RULES = 2;

  /** Ageing moves a date by no less, days: what it says is not so sure. */
  public static final int LEAST_MOVE_DAYS = 7;

  /** Whether an older oil was left out of its date, because its share is below the threshold. */
  public boolean leftOut() {
    return span.leftOut();
  }

  /**
   * Between which days it lies.
   *
   * @param earliest the cautious end, for labels and tasks
   * @param leftOut whether it would be earlier by an oil of a share too small to count
   */
  public record Span(LocalDate earliest, LocalDate latest, boolean leftOut) {}

  /** The earliest that it may be: the cautious end, for labels and tasks. */
  public LocalDate earliest() {
    return span.earliest();
  }

  /** The latest that it may be. */
  public LocalDate latest() {
    return span.latest();
  }

  /** The rule that decided. */
  public enum Rule {
    /** The carrier's own date. */
    CARRIER_DATE,
    /** It was infused before, and does not outlive what it was. */
    EARLIER_OIL,
    /** Ageing: heat, light and air have used what the carrier brought. */
    AGEING,
    /** A year for an oil of dried herb. */
    TWELVE_MONTHS,
    /** Two years for one in the fridge. */
    TWENTY_FOUR_MONTHS_FRIDGE,
    /** Free water or fresh herb not driven dry. */
    FREE_WATER,
    /** Fresh herb for eating: four days from charging in the fridge. */
    KITCHEN_FRESH,
    /** Fresh herb for eating, frozen: three months, and what is left of its four days after. */
    KITCHEN_FROZEN,
    /** Dried herb for eating: three months in the fridge. */
    KITCHEN_DRIED,
    /** It stood warm for more than two hours: throw it out. */
    STOOD_WARM,
    /** Oil for eating is kept in the fridge and nowhere else. */
    KITCHEN_NOT_IN_FRIDGE
  }

  /**
   * A stretch of the oil's life.
   *
   * @param days how long it lasts
   * @param rate days of shelf life used in a day
   * @param spentDays shelf life used in it
   */
  public record Leg(String name, double days, double rate, double spentDays) {}

  /**
   * A change that would lengthen it.
   *
   * @param change the change
   * @param days days gained
   */
  public record Gain(Change change, int days) {}

  /** What could be changed about the store. */
  public enum Change {
    /** Into the freezer. */
    FREEZER,
    /** Into the fridge. */
    FRIDGE,
    /** Into a cool cupboard. */
    COOL,
    /** Into amber glass. */
    AMBER,
    /** Into a bottle that it fills to the neck. */
    FULL,
    /** With vitamin E. */
    VITAMIN_E,
    /** With rosemary extract. */
    ROSEMARY
  }
}
