package velvetcrock.drawer;

import java.time.LocalDate;
import java.util.List;
import velvetcrock.core.stock.StockAhead;

/** Who knows what infused oil is in bottles; the drawer asks, and does not know batches. */
public interface BottledOil {
  /**
   * The oils of one first herb in one first carrier.
   *
   * @param herb key of the herb
   * @param carrier key of the carrier
   */
  record Oil(String herb, String carrier, StockAhead.Thing thing) {}

  /** All that is in bottles, or was in the year before a day. */
  List<Oil> oils(LocalDate today);
}
