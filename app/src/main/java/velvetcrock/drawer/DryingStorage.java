package velvetcrock.drawer;

import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.DryingLog;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.Subject;

/** The stored form of every kind of entry. */
final class DryingStorage implements StoredDrying {
  /** All of them, both ways. */
  static final EventStorage<DryingEvent> STORAGE =
      new EventStorage<>(event -> event.accept(new DryingStorage()), StoredDrying.class);

  /** The book of such logs. */
  static final Book<DryingEvent, Drying> BOOK =
      new Book<>(Subject.LOAD, STORAGE, DryingLog::fold, Drying.class, 1);
}
