package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.Batches;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductRules;
import velvetcrock.core.product.ProductState;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalCheck;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Checked;
import velvetcrock.ledger.Ledger;

/** Compares products, their dates and what they drew with what their logs say. */
@Component
class CheckedProducts implements Checked {
  private final ProductRepository products;
  private final Batches batches;
  private final ProductJournal telling;
  private final Journal journal;
  private final Households households;
  private final Ledger ledger;

  CheckedProducts(
      ProductRepository products,
      Batches batches,
      ProductJournal telling,
      Journal journal,
      Households households,
      Ledger ledger) {
    this.products = products;
    this.batches = batches;
    this.telling = telling;
    this.journal = journal;
    this.households = households;
    this.ledger = ledger;
  }

  @Override
  @Transactional
  public List<String> check(boolean mend) {
    List<String> differences = new ArrayList<>();
    for (ProductRow row : products.findAll()) {
      Log<ProductEvent> log = ledger.log(row.id(), ProductStorage.BOOK);
      ProductState state = ProductStorage.BOOK.fold().apply(log);
      var made = state.begunAt().atZone(households.current().zone()).toLocalDate();
      var until = ProductRules.firstOver(state, made);
      if (!ledger.isKept(ProductStorage.BOOK, state, row.kept())
          || !row.bestBefore().equals(until)) {
        differences.add("Product " + row.code() + ": what is kept of it is not what its log says");
        if (mend) {
          row.become(state, ledger.keep(ProductStorage.BOOK, state), made, until);
        }
      }
      for (Entry<ProductEvent> entry : log.counting()) {
        differences.addAll(draws(row.code(), state, entry));
      }
      differences.addAll(
          JournalCheck.differences(
              journal,
              "Product " + row.code(),
              log,
              mend
                  ? entry ->
                      telling.tell(
                          row.code(),
                          state,
                          entry,
                          ledger.writers(row.id()).getOrDefault(entry.id(), ""))
                  : null));
    }
    return differences;
  }

  /** Whether what went in from bottles and cloth was drawn there; that cannot be derived. */
  private List<String> draws(String code, ProductState state, Entry<ProductEvent> entry) {
    List<String> differences = new ArrayList<>();
    List<PartIn> parts = entry.event().parts();
    for (int i = 0; i < parts.size(); i++) {
      PartIn.Infused infused = parts.get(i).infused();
      if (infused == null || ProductParts.isMarc(parts.get(i))) {
        continue;
      }
      String key = BatchActs.PRODUCT_KEY + entry.id() + ":" + i;
      boolean drawn =
          batches.log(batches.find(infused.batch())).stream()
              .anyMatch(line -> !line.replaced() && key.equals(line.key()));
      if (!drawn) {
        differences.add(
            "Product " + code + ": what it took of " + infused.code() + " was not drawn there");
      }
    }
    return differences;
  }
}
