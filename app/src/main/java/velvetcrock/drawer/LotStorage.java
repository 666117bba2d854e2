package velvetcrock.drawer;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotLog;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.Subject;
import velvetcrock.ledger.UpCaster;

/** The stored form of every kind of entry. */
final class LotStorage implements StoredLot {
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
}
