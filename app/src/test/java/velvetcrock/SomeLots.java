package velvetcrock;

import java.time.LocalDate;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;

/** What may lie in a drawer. */
final class SomeLots {
  private SomeLots() {}

  /** Rapeseed oil from the ferry, bought a month ago, for 6.50. */
  static LotDetails rapeseed(LocalDate today) {
    return new LotDetails(
        Kind.CARRIER,
        "rapeseed",
        "",
        new LotDetails.Plant(null, null, null, null),
        Origin.BOUGHT,
        "ferry",
        new LotDetails.Dates(null, today.minusMonths(1), null, today.plusMonths(10)),
        null,
        650L);
  }
}
