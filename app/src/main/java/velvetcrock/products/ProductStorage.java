package velvetcrock.products;

import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.MeltRead;
import velvetcrock.core.product.Poured;
import velvetcrock.core.product.ProductBegun;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductLog;
import velvetcrock.core.product.ProductRemarked;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.ProductStruck;
import velvetcrock.core.product.SkinReacted;
import velvetcrock.core.product.SpoonTested;
import velvetcrock.core.product.StirredIn;
import velvetcrock.core.product.TinWent;
import velvetcrock.core.product.WhippingSeen;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.StoredEvent;
import velvetcrock.ledger.Subject;

/** The stored form of every kind of entry. */
public final class ProductStorage implements ProductEvent.Visitor<StoredEvent<ProductEvent>> {
  /** All of them, both ways. */
  public static final EventStorage<ProductEvent> STORAGE =
      new EventStorage<>(event -> event.accept(new ProductStorage()), StoredProduct.class);

  /** The book of such logs. */
  static final Book<ProductEvent, ProductState> BOOK =
      new Book<>(Subject.PRODUCT, STORAGE, ProductLog::fold, ProductState.class, 1);

  @Override
  public StoredEvent<ProductEvent> productBegun(ProductBegun event) {
    return StoredProduct.ProductBegunData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> stirredIn(StirredIn event) {
    return StoredProduct.StirredInData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> spoonTested(SpoonTested event) {
    return StoredProduct.SpoonTestedData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> meltRead(MeltRead event) {
    return StoredProduct.MeltReadData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> whippingSeen(WhippingSeen event) {
    return StoredProduct.WhippingSeenData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> poured(Poured event) {
    return StoredProduct.PouredData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> abandoned(Abandoned event) {
    return StoredProduct.AbandonedData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> tinWent(TinWent event) {
    return StoredProduct.TinWentData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> skinReacted(SkinReacted event) {
    return StoredProduct.SkinReactedData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> productRemarked(ProductRemarked event) {
    return StoredProduct.ProductRemarkedData.of(event);
  }

  @Override
  public StoredEvent<ProductEvent> productStruck(ProductStruck event) {
    return StoredProduct.ProductStruckData.of(event);
  }
}
