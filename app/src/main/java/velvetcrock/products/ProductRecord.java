package velvetcrock.products;

import java.time.LocalDate;
import java.util.UUID;
import velvetcrock.core.product.ProductRules;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinGroup;

/**
 * A product with its dates.
 *
 * @param bestBefore the last day on which the first of its tins is good; the same wherever it is
 *     shown
 */
public record ProductRecord(
    UUID id, String code, ProductState state, LocalDate madeOn, LocalDate bestBefore) {
  /** The last day on which the tins of a group are good. */
  public LocalDate bestBefore(TinGroup group) {
    return ProductRules.keeping(state, group, madeOn).bestBefore();
  }
}
