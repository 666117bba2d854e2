package velvetcrock.drawer;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotAdded;
import velvetcrock.core.drawer.LotCounted;
import velvetcrock.core.drawer.LotDescribed;
import velvetcrock.core.drawer.LotEnded;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotGivenBack;
import velvetcrock.core.drawer.LotLog;
import velvetcrock.core.drawer.LotOpened;
import velvetcrock.core.drawer.LotPicked;
import velvetcrock.core.drawer.LotStruck;
import velvetcrock.core.drawer.LotTaken;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.StoredEvent;
import velvetcrock.ledger.Subject;
import velvetcrock.ledger.UpCaster;

/** The stored form of every kind of entry. */
final class LotStorage implements LotEvent.Visitor<StoredEvent<LotEvent>> {
  /** All of them, both ways. */
  static final EventStorage<LotEvent> STORAGE =
      new EventStorage<LotEvent>(event -> event.accept(new LotStorage()), StoredLot.class)
          .lifting(
              List.of(
                  new UpCaster("taken", 1, LotStorage::forProduct),
                  new UpCaster("given-back", 1, LotStorage::forProduct)));

  /** The book of such logs. */
  static final Book<LotEvent, Lot> BOOK =
      new Book<>(Subject.LOT, STORAGE, LotLog::fold, Lot.class, 1);

  /** What products drew was once written as drawn for a pot. */
  private static ObjectNode forProduct(ObjectNode data) {
    String what = data.path("what").asString("");
    if (what.startsWith("pot ")) {
      data.put("what", "product " + what.substring("pot ".length()));
    }
    return data;
  }

  @Override
  public StoredEvent<LotEvent> lotAdded(LotAdded event) {
    return StoredLot.LotAddedData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotPicked(LotPicked event) {
    return StoredLot.LotPickedData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotTaken(LotTaken event) {
    return StoredLot.LotTakenData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotGivenBack(LotGivenBack event) {
    return StoredLot.LotGivenBackData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotCounted(LotCounted event) {
    return StoredLot.LotCountedData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotDescribed(LotDescribed event) {
    return StoredLot.LotDescribedData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotOpened(LotOpened event) {
    return StoredLot.LotOpenedData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotEnded(LotEnded event) {
    return StoredLot.LotEndedData.of(event);
  }

  @Override
  public StoredEvent<LotEvent> lotStruck(LotStruck event) {
    return StoredLot.LotStruckData.of(event);
  }
}
