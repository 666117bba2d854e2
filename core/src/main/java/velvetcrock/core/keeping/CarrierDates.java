package velvetcrock.core.keeping;

import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.materia.Carrier;

/**
 * What is known of the age of one carrier in a charge.
 *
 * @param share part by volume, above 0
 * @param bestBefore date printed on it, if any
 * @param openedOn day it was opened, if known
 * @param pressedOn day it was pressed or bought, if known
 */
public record CarrierDates(
    Carrier carrier,
    double share,
    @Nullable LocalDate bestBefore,
    @Nullable LocalDate openedOn,
    @Nullable LocalDate pressedOn) {
  private static final int HALF_A_MONTH_DAYS = 15;

  /**
   * One of which nobody knows any date: from the day on which it is used it is taken to keep half
   * of its catalogue months (our estimate).
   */
  public static CarrierDates unknown(Carrier carrier, double share, LocalDate from) {
    int months = carrier.keepsMonths();
    LocalDate half = from.plusMonths(months / 2).plusDays(months % 2 * HALF_A_MONTH_DAYS);
    return new CarrierDates(carrier, share, half, null, null);
  }

  /** The same, or with no date known as one of which nobody knows any. */
  public CarrierDates orUnknown(LocalDate from) {
    return ownDate().isPresent() ? this : unknown(carrier, share, from);
  }

  /**
   * Its own date: the earlier of its best-before (without one, pressing plus its catalogue months)
   * and its opening plus 12 months, or 6 for one that keeps 8 months or less.
   *
   * @return empty if none of the three dates is known
   */
  public Optional<LocalDate> ownDate() {
    LocalDate closed =
        bestBefore != null || pressedOn == null
            ? bestBefore
            : pressedOn.plusMonths(carrier.keepsMonths());
    LocalDate opened = openedOn == null ? null : openedOn.plusMonths(carrier.opensForMonths());
    return Stream.of(Optional.ofNullable(closed), Optional.ofNullable(opened))
        .flatMap(Optional::stream)
        .min(LocalDate::compareTo);
  }
}
