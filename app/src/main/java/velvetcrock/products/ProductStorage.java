package velvetcrock.products;

import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductLog;
import velvetcrock.core.product.ProductState;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.Subject;

/** The stored form of every kind of entry. */
public final class ProductStorage implements StoredProduct {
  /** All of them, both ways. */
  public static final EventStorage<ProductEvent> STORAGE =
      new EventStorage<>(event -> event.accept(new ProductStorage()), StoredProduct.class);

  /** The book of such logs. */
  static final Book<ProductEvent, ProductState> BOOK =
      new Book<>(Subject.PRODUCT, STORAGE, ProductLog::fold, ProductState.class, 1);
}
