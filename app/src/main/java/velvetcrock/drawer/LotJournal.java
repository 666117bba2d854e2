package velvetcrock.drawer;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import velvetcrock.core.drawer.Entry;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/** Tells the journal what was written in the logs of lots. */
@Component
class LotJournal {
  private final Journal journal;
  private final Catalogues catalogues;
  private final Households households;
  private final CurrentHousehold current;

  LotJournal(
      Journal journal, Catalogues catalogues, Households households, CurrentHousehold current) {
    this.journal = journal;
    this.catalogues = catalogues;
    this.households = households;
    this.current = current;
  }

  /** Tells of an entry by whoever is signed in. */
  void tell(UUID id, Lot lot, Entry<LotEvent> entry) {
    tell(id, lot, entry, current.who().map(InHousehold::displayName).orElse(""));
  }

  /** Tells of an entry; one that only takes another back is told by striking that. */
  void tell(UUID id, Lot lot, Entry<LotEvent> entry, String by) {
    if (entry.event() instanceof LotEvent.Struck) {
      journal.strike(entry.replaces());
      return;
    }
    Catalogue catalogue = catalogues.current();
    LotWords words = new LotWords(catalogue, households.formats(households.current()));
    LotDetails details = lot.details();
    boolean first = entry.event() instanceof LotEvent.Added;
    journal.keep(
        new JournalLine(
            entry.id(),
            "lot",
            new JournalLine.Subject(
                words.name(lot),
                "/drawer/lots/" + id,
                details.kind() == Kind.SPIRIT ? "" : words.thing(details.kind(), details.thing()),
                details.kind() == Kind.HERB ? List.of(details.thing()) : List.of(),
                details.kind() == Kind.CARRIER ? List.of(details.thing()) : List.of()),
            entry.at(),
            by,
            words.title(details.kind(), entry.event()),
            first ? words.origin(lot) : "",
            false),
        entry.replaces());
  }
}
