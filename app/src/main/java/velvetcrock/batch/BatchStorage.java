package velvetcrock.batch;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.StoredEvent;
import velvetcrock.ledger.Subject;
import velvetcrock.ledger.UpCaster;

/** The stored form of every kind of entry. */
public final class BatchStorage
    implements BatchEvent.Visitor<StoredEvent<BatchEvent>>,
        StoredJar,
        StoredHeat,
        StoredStraining,
        StoredBottles,
        StoredRemarks {
  /** All of them, both ways. */
  public static final EventStorage<BatchEvent> STORAGE =
      new EventStorage<BatchEvent>(
              event -> event.accept(new BatchStorage()),
              StoredJar.class,
              StoredHeat.class,
              StoredStraining.class,
              StoredBottles.class,
              StoredRemarks.class)
          .lifting(
              List.of(
                  new UpCaster("drawn", 1, BatchStorage::forProduct),
                  new UpCaster("drawn-unbottled", 1, BatchStorage::forProduct),
                  new UpCaster("given-back", 1, BatchStorage::forProduct)));

  /** The book of such logs. */
  static final Book<BatchEvent, BatchState> BOOK =
      new Book<>(Subject.BATCH, STORAGE, BatchLog::fold, BatchState.class, 1);

  /** What products drew was once written as drawn for a pot. */
  private static ObjectNode forProduct(ObjectNode data) {
    String what = data.path("what").asString("");
    if (what.startsWith("pot ")) {
      data.put("what", "product " + what.substring("pot ".length()));
    }
    return data;
  }
}
