package velvetcrock.core.outlook;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What rules a way out, with what would rule it in again.
 *
 * @param amount how much of it, in the unit of its kind; 0 where it is about none
 * @param on a day that it is about; null where it is about none
 * @param thing a name or a caution's code; may be empty
 */
public record Obstacle(Kind kind, double amount, @Nullable LocalDate on, String thing) {

  /** Kinds of obstacle. */
  public enum Kind {
    /** It misses the day by {@code amount} days; in time by {@code on}. */
    LATE,
    /** The drawer lacks {@code amount} g of the herb; {@code thing} is its state. */
    LACKS_HERB,
    /** The drawer lacks {@code amount} ml of the oil. */
    LACKS_OIL,
    /** The drawer lacks {@code amount} ml of spirit. */
    LACKS_SPIRIT,
    /** No appliance for it: {@code thing} would do. */
    NO_APPLIANCE,
    /** The empty jars do not hold it; they do for {@code amount} ml of oil in the end. */
    NO_JAR,
    /** The herb bears {@code amount} °C at most, and the way begins above that. */
    TOO_HOT,
    /** The oil is solid below {@code amount} °C. */
    SOLID,
    /** The herb's water stays in the oil. */
    WET,
    /** The herb's water cannot leave in these hours; it would take about {@code amount} h. */
    STAYS_WET,
    /** {@code thing} is not for eating. */
    NOT_FOR_EATING,
    /** {@code thing} is of tree nuts. */
    NUTS,
    /** A caution of the code {@code thing} stops it. */
    UNSAFE,
    /** It is good only until {@code on}, before it is wanted. */
    SPOILS_BEFORE,
    /** Nobody is at home for {@code amount} minutes without a break. */
    NOBODY_THERE
  }

  static Obstacle of(Kind kind) {
    return new Obstacle(kind, 0, null, "");
  }

  static Obstacle of(Kind kind, double amount) {
    return new Obstacle(kind, amount, null, "");
  }

  static Obstacle of(Kind kind, String thing) {
    return new Obstacle(kind, 0, null, thing);
  }
}
