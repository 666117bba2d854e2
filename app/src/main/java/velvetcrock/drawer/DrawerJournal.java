package velvetcrock.drawer;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Told;
import velvetcrock.web.CurrentHousehold;

/** Tells the journal what was written in the logs of lots and of loads that dry. */
@Component
class DrawerJournal {
  private final Journal journal;
  private final Catalogues catalogues;
  private final Households households;
  private final CurrentHousehold current;

  DrawerJournal(
      Journal journal, Catalogues catalogues, Households households, CurrentHousehold current) {
    this.journal = journal;
    this.catalogues = catalogues;
    this.households = households;
    this.current = current;
  }

  /** Tells of an entry by whoever is signed in. */
  void tell(UUID id, Lot lot, Entry<LotEvent> entry) {
    tell(id, lot, entry, current.name());
  }

  /** Tells of an entry; one that only takes another back is told by striking that. */
  void tell(UUID id, Lot lot, Entry<LotEvent> entry, String by) {
    if (entry.event().strikes()) {
      journal.strike(entry.replaces());
      return;
    }
    Catalogue catalogue = catalogues.current();
    LotWords words = new LotWords(catalogue, households.formats(households.current()));
    LotDetails details = lot.details();
    JournalLine.Subject subject =
        new JournalLine.Subject(
            words.name(lot),
            "/drawer/lots/" + id,
            details.kind() == Kind.SPIRIT ? "" : words.thing(details.kind(), details.thing()),
            details.kind() == Kind.HERB ? List.of(details.thing()) : List.of(),
            details.kind() == Kind.CARRIER ? List.of(details.thing()) : List.of());
    keep("lot", subject, entry, by, entry.event().accept(words.telling(lot)));
  }

  /** Tells of an entry about a load by whoever is signed in. */
  void tell(UUID id, Drying drying, Entry<DryingEvent> entry) {
    tell(id, drying, entry, current.name());
  }

  /** The same as with lots. */
  void tell(UUID id, Drying drying, Entry<DryingEvent> entry, String by) {
    if (entry.event().strikes()) {
      journal.strike(entry.replaces());
      return;
    }
    Herb herb = catalogues.current().herb(drying.begun().herb());
    JournalLine.Subject subject =
        new JournalLine.Subject(
            herb.name() + ", drying",
            "/drawer/drying/" + id,
            herb.name() + ", " + herb.botanical(),
            List.of(herb.key()),
            List.of());
    Told told = entry.event().accept(new DryingWords(households.formats(households.current())));
    keep("drying", subject, entry, by, told);
  }

  private void keep(
      String kind, JournalLine.Subject subject, Entry<?> entry, String by, Told told) {
    journal.keep(
        new JournalLine(
            entry.id(), kind, subject, entry.at(), by, told.title(), told.detail(), false),
        entry.replaces());
  }
}
