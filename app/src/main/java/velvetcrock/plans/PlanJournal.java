package velvetcrock.plans;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.Formats;
import velvetcrock.web.MethodWords;

/** Tells the journal what becomes of plans. */
@Component
class PlanJournal {
  private final Journal journal;
  private final Catalogues catalogues;
  private final Households households;
  private final CurrentHousehold current;
  private final Clock clock;

  PlanJournal(
      Journal journal,
      Catalogues catalogues,
      Households households,
      CurrentHousehold current,
      Clock clock) {
    this.journal = journal;
    this.catalogues = catalogues;
    this.households = households;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Writes a line about a plan.
   *
   * @param kind what became of it
   * @param title the same in words
   */
  void tell(PlanRow row, PlanDetails details, String kind, String title) {
    Catalogue catalogue = catalogues.current();
    Formats fmt = households.formats(households.current());
    JournalLine.Subject subject =
        new JournalLine.Subject(
            row.code(),
            "/plans/" + row.code(),
            String.join(
                ", ",
                catalogue.herb(details.plant().herb()).name(),
                catalogue.herb(details.plant().herb()).botanical(),
                catalogue.carrier(details.carrier()).name()),
            List.of(details.plant().herb()),
            List.of(details.carrier()));
    String detail =
        details.words(fmt)
            + " by "
            + fmt.date(row.wantedBy())
            + ", "
            + MethodWords.name(details.way().method()).toLowerCase(Locale.ROOT)
            + ", to be charged "
            + fmt.moment(row.beginsAt());
    journal.keep(
        new JournalLine(
            UUID.randomUUID(),
            kind,
            subject,
            clock.instant(),
            current.name(),
            title,
            detail,
            false),
        null);
  }
}
