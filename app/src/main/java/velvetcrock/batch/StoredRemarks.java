package velvetcrock.batch;

import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.LookedBack;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.RemarkEvent;
import velvetcrock.core.batch.Struck;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.StoredEvent;

/** Entries that change nothing of how things stand, as they are stored. */
interface StoredRemarks extends RemarkEvent.Cases<StoredEvent<BatchEvent>> {
  @Override
  default StoredEvent<BatchEvent> noted(Noted event) {
    return NotedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> lookedBack(LookedBack event) {
    return LookedBackData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> struck(Struck event) {
    return StruckData.of(event);
  }

  @Kind(name = "note", says = "Something worth writing down.", door = Door.ANYBODY)
  record NotedData(String text) implements StoredEvent<BatchEvent> {
    static NotedData of(Noted e) {
      return new NotedData(e.text());
    }

    @Override
    public BatchEvent event() {
      return new Noted(text);
    }
  }

  @Kind(name = "looked-back", says = "The batch was looked back on.", door = Door.ANYBODY)
  record LookedBackData(String well, String nextTime) implements StoredEvent<BatchEvent> {
    static LookedBackData of(LookedBack e) {
      return new LookedBackData(e.well(), e.nextTime());
    }

    @Override
    public BatchEvent event() {
      return new LookedBack(well, nextTime);
    }
  }

  @Kind(
      name = "struck",
      says = "Nothing: takes the entry that it replaces out of the fold.",
      door = Door.ANYBODY)
  record StruckData() implements StoredEvent<BatchEvent> {
    static StruckData of(Struck e) {
      return new StruckData();
    }

    @Override
    public BatchEvent event() {
      return new Struck();
    }
  }
}
