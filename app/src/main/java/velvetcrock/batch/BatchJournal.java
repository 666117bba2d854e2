package velvetcrock.batch;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.CatchUp;
import velvetcrock.web.MovedIn;

/** Tells the journal what was written in the logs of batches. */
@Component
class BatchJournal {
  private final Journal journal;
  private final BatchRepository batches;
  private final Ledger ledger;
  private final BatchStates states;
  private final Catalogues catalogues;
  private final Households households;
  private final CatchUp catchUp;

  BatchJournal(
      Journal journal,
      BatchRepository batches,
      Ledger ledger,
      BatchStates states,
      Catalogues catalogues,
      Households households,
      CatchUp catchUp) {
    this.journal = journal;
    this.batches = batches;
    this.ledger = ledger;
    this.states = states;
    this.catalogues = catalogues;
    this.households = households;
    this.catchUp = catchUp;
  }

  /** Tells of an entry; one that only takes another back is told by striking that. */
  void tell(String code, BatchState state, Entry<BatchEvent> entry, String by) {
    if (entry.event().strikes()) {
      journal.strike(entry.replaces());
      return;
    }
    Catalogue catalogue = catalogues.current();
    EntryWords words = new EntryWords(catalogue, households.formats(households.current()));
    JournalLine line =
        new JournalLine(
            entry.id(),
            entry.event().kind(),
            subject(code, state.charge(), catalogue),
            entry.at(),
            by,
            words.of(entry.event()).title(),
            words.of(entry.event()).detail(),
            false);
    journal.keep(line, entry.replaces());
  }

  private static JournalLine.Subject subject(String code, Charged charge, Catalogue catalogue) {
    List<Herb> herbs = charge.herbs().stream().map(h -> catalogue.herb(h.herb())).toList();
    List<Carrier> oils =
        charge.carriers().stream().map(c -> catalogue.carrier(c.carrier())).toList();
    Set<String> names =
        Stream.concat(
                herbs.stream().flatMap(h -> Stream.of(h.name(), h.botanical())),
                oils.stream().map(Carrier::name))
            .collect(Collectors.toCollection(LinkedHashSet::new));
    return new JournalLine.Subject(
        code,
        "/batches/" + code,
        String.join(", ", names),
        herbs.stream().map(Herb::key).toList(),
        oils.stream().map(Carrier::key).toList());
  }

  /** Tells of what was written before there was a journal. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void catchUp() {
    catchUp.each(
        "select id from batch b where not exists"
            + " (select 1 from journal j join entry e on e.id = j.id where e.subject_id = b.id)",
        this::tellAll);
  }

  private void tellAll(UUID id) {
    Batch batch = batches.findById(id).orElseThrow();
    BatchState state = states.of(batch);
    ledger
        .lines(id, BatchStorage.BOOK)
        .forEach(line -> tell(batch.code(), state, line.entry(), line.by()));
  }
}
