package velvetcrock.drawer;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalCheck;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.ledger.Checked;
import velvetcrock.ledger.Ledger;

/** Compares lots and loads that dry with what their logs say. */
@Component
class CheckedDrawer implements Checked {
  private final LotRepository lots;
  private final LoadRepository loads;
  private final DrawerJournal telling;
  private final Journal journal;
  private final Catalogues catalogues;
  private final Ledger ledger;

  CheckedDrawer(
      LotRepository lots,
      LoadRepository loads,
      DrawerJournal telling,
      Journal journal,
      Catalogues catalogues,
      Ledger ledger) {
    this.lots = lots;
    this.loads = loads;
    this.telling = telling;
    this.journal = journal;
    this.catalogues = catalogues;
    this.ledger = ledger;
  }

  @Override
  @Transactional
  public List<String> check(boolean mend) {
    List<String> differences = new ArrayList<>();
    lots.findAll().forEach(row -> differences.addAll(lot(row, mend)));
    loads.findAll().forEach(row -> differences.addAll(load(row, mend)));
    return differences;
  }

  private List<String> lot(LotRow row, boolean mend) {
    Log<LotEvent> log = ledger.log(row.id(), LotStorage.BOOK);
    Lot lot = LotStorage.BOOK.fold().apply(log);
    String name = "Lot of " + lot.details().thing() + " " + row.id();
    List<String> differences = new ArrayList<>();
    if (!ledger.isKept(LotStorage.BOOK, lot, row.kept()) || row.amount() != lot.amount()) {
      differences.add(name + ": what is kept of it is not what its log says");
      if (mend) {
        row.become(lot, ledger.keep(LotStorage.BOOK, lot), catalogues.current());
      }
    }
    differences.addAll(
        JournalCheck.differences(
            journal,
            name,
            log,
            mend ? entry -> telling.tell(row.id(), lot, entry, by(row.id(), entry)) : null));
    return differences;
  }

  private List<String> load(LoadRow row, boolean mend) {
    Log<DryingEvent> log = ledger.log(row.id(), DryingStorage.BOOK);
    Drying drying = DryingStorage.BOOK.fold().apply(log);
    String name = "Load of " + drying.begun().herb() + " " + row.id();
    List<String> differences = new ArrayList<>();
    if (!ledger.isKept(DryingStorage.BOOK, drying, row.kept())) {
      differences.add(name + ": what is kept of it is not what its log says");
      if (mend) {
        row.become(drying, ledger.keep(DryingStorage.BOOK, drying));
      }
    }
    differences.addAll(
        JournalCheck.differences(
            journal,
            name,
            log,
            mend ? entry -> telling.tell(row.id(), drying, entry, by(row.id(), entry)) : null));
    return differences;
  }

  private String by(UUID subjectId, Entry<?> entry) {
    return ledger.writers(subjectId).getOrDefault(entry.id(), "");
  }
}
