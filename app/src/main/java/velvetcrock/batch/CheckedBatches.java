package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalCheck;
import velvetcrock.ledger.Checked;
import velvetcrock.ledger.Ledger;

/** Compares batches, their bottles and their dates with what their logs say. */
@Component
class CheckedBatches implements Checked {
  private final BatchRepository batches;
  private final BottleBook book;
  private final BatchJournal telling;
  private final Journal journal;
  private final Ledger ledger;

  CheckedBatches(
      BatchRepository batches,
      BottleBook book,
      BatchJournal telling,
      Journal journal,
      Ledger ledger) {
    this.batches = batches;
    this.book = book;
    this.telling = telling;
    this.journal = journal;
    this.ledger = ledger;
  }

  @Override
  @Transactional
  public List<String> check(boolean mend) {
    List<String> differences = new ArrayList<>();
    for (Batch row : batches.findAll()) {
      Log<BatchEvent> log = ledger.log(row.id(), BatchStorage.BOOK);
      BatchState state = BatchStorage.BOOK.fold().apply(log);
      if (!ledger.isKept(BatchStorage.BOOK, state, row.kept()) || !row.tells(state)) {
        differences.add("Batch " + row.code() + ": what is kept of it is not what its log says");
        if (mend) {
          row.become(state, ledger.keep(BatchStorage.BOOK, state));
        }
      }
      if (state.strained() != null) {
        List<String> bottles = book.differences(row.id(), row.code(), state);
        differences.addAll(bottles);
        if (mend && !bottles.isEmpty()) {
          book.keep(row.id(), state, "it was checked against its log");
        }
      }
      differences.addAll(
          JournalCheck.differences(
              journal,
              "Batch " + row.code(),
              log,
              mend ? entry -> telling.tell(row.code(), state, entry, by(row.id(), entry)) : null));
    }
    return differences;
  }

  private String by(UUID batchId, Entry<BatchEvent> entry) {
    return ledger.writers(batchId).getOrDefault(entry.id(), "");
  }
}
