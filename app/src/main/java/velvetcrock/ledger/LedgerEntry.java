package velvetcrock.ledger;

import jakarta.persistence.Entity;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import velvetcrock.web.StoredEntry;

/** A line in the log of a lot, a load or a pot. */
@Entity
@Immutable
class LedgerEntry extends StoredEntry {
  private UUID subjectId;

  /** For Hibernate. */
  protected LedgerEntry() {}

  LedgerEntry(UUID subjectId, Happened happened, Written written) {
    super(happened, written);
    this.subjectId = subjectId;
  }

  UUID subjectId() {
    return subjectId;
  }
}
