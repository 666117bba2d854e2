package velvetcrock.core.care;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import velvetcrock.core.product.ProductState;

/**
 * What wants doing for a pot: to be finished while it is in the pan, and to be gone by its date.
 */
public final class ProductRound {
  private final ZoneId zone;
  private final LocalDate today;

  /** A round on a day. */
  public ProductRound(ZoneId zone, LocalDate today) {
    this.zone = zone;
    this.today = today;
  }

  /**
   * The task of a product, if it wants anything.
   *
   * @param bestBefore its last good day
   */
  public Optional<Task> task(ProductState product, LocalDate bestBefore) {
    return switch (product.status()) {
      case IN_THE_PAN -> {
        LocalDate begun = product.begunAt().atZone(zone).toLocalDate();
        yield Optional.of(new Task(Task.Kind.FINISH_PRODUCT, begun, begun, 0));
      }
      case POURED -> {
        if (bestBefore.isBefore(today)) {
          yield Optional.of(new Task(Task.Kind.PAST_DATE, bestBefore.plusDays(1), bestBefore, 0));
        }
        LocalDate smell = bestBefore.minusDays(Care.SMELLED_FROM_DAYS);
        yield smell.isAfter(today)
            ? Optional.empty()
            : Optional.of(new Task(Task.Kind.SMELL, smell, bestBefore, 0));
      }
      case GONE, ABANDONED -> Optional.empty();
    };
  }
}
