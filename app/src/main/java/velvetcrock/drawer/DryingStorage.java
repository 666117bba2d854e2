package velvetcrock.drawer;

import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.DryingBegun;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.DryingLog;
import velvetcrock.core.drawer.DryingStruck;
import velvetcrock.core.drawer.LoadThrownOut;
import velvetcrock.core.drawer.LoadWeighed;
import velvetcrock.core.drawer.PutAway;
import velvetcrock.core.drawer.Snapped;
import velvetcrock.core.drawer.WaterKnown;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.StoredEvent;
import velvetcrock.ledger.Subject;

/** The stored form of every kind of entry. */
final class DryingStorage implements DryingEvent.Visitor<StoredEvent<DryingEvent>> {
  /** All of them, both ways. */
  static final EventStorage<DryingEvent> STORAGE =
      new EventStorage<>(event -> event.accept(new DryingStorage()), StoredDrying.class);

  /** The book of such logs. */
  static final Book<DryingEvent, Drying> BOOK =
      new Book<>(Subject.LOAD, STORAGE, DryingLog::fold, Drying.class, 1);

  @Override
  public StoredEvent<DryingEvent> dryingBegun(DryingBegun event) {
    return StoredDrying.DryingBegunData.of(event);
  }

  @Override
  public StoredEvent<DryingEvent> loadWeighed(LoadWeighed event) {
    return StoredDrying.LoadWeighedData.of(event);
  }

  @Override
  public StoredEvent<DryingEvent> snapped(Snapped event) {
    return StoredDrying.SnappedData.of(event);
  }

  @Override
  public StoredEvent<DryingEvent> waterKnown(WaterKnown event) {
    return StoredDrying.WaterKnownData.of(event);
  }

  @Override
  public StoredEvent<DryingEvent> putAway(PutAway event) {
    return StoredDrying.PutAwayData.of(event);
  }

  @Override
  public StoredEvent<DryingEvent> loadThrownOut(LoadThrownOut event) {
    return StoredDrying.LoadThrownOutData.of(event);
  }

  @Override
  public StoredEvent<DryingEvent> dryingStruck(DryingStruck event) {
    return StoredDrying.DryingStruckData.of(event);
  }
}
