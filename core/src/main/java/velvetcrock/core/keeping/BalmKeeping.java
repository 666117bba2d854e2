package velvetcrock.core.keeping;

import java.time.LocalDate;
import velvetcrock.core.Problems;

/**
 * How long a balm keeps: as its oil, at most 12 months; with a wet addition 14 days in the fridge
 * and elsewhere not at all, because water without a preservative lets microbes grow.
 *
 * @param bestBefore last good day
 * @param why the rule that decided, in words
 */
public record BalmKeeping(LocalDate bestBefore, String why) {
  private static final int MOST_MONTHS = 12;
  private static final int HONEY_MONTHS = 3;
  private static final int WET_FRIDGE_DAYS = 14;

  /**
   * Reckons it.
   *
   * @param oilBestBefore the earliest date among its oils
   * @param wetness what water it has in it
   * @throws velvetcrock.core.Refused at {@code oilBestBefore} if the oil was past its date already
   */
  public static BalmKeeping of(
      LocalDate madeOn, LocalDate oilBestBefore, Wetness wetness, Store.Place place) {
    Problems problems = new Problems();
    problems.require(
        !oilBestBefore.isBefore(madeOn),
        "oilBestBefore",
        () -> "The oil was good until " + oilBestBefore + " only, before the balm was made.");
    problems.refuseIfAny();

    if (wetness == Wetness.WET) {
      boolean fridge = place.cold();
      LocalDate wet = madeOn.plusDays(fridge ? WET_FRIDGE_DAYS : 0);
      return new BalmKeeping(
          wet.isBefore(oilBestBefore) ? wet : oilBestBefore,
          "a wet addition without a preservative: 14 days in the fridge, elsewhere none");
    }
    boolean honey = wetness == Wetness.LITTLE_HONEY;
    LocalDate cap = madeOn.plusMonths(honey ? HONEY_MONTHS : MOST_MONTHS);
    return cap.isBefore(oilBestBefore)
        ? new BalmKeeping(
            cap,
            honey
                ? "3 months cool with up to 5 % honey; 14 days in the fridge once honey separates"
                : "12 months at most")
        : new BalmKeeping(
            oilBestBefore, "as long as its oil; what decided that stands with its bottle");
  }
}
