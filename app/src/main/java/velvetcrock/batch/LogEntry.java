package velvetcrock.batch;

import jakarta.persistence.Entity;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import velvetcrock.web.StoredEntry;

/** A line in the log of a batch. */
@Entity
@Immutable
class LogEntry extends StoredEntry {
  private UUID batchId;

  /** For Hibernate. */
  protected LogEntry() {}

  LogEntry(UUID batchId, Happened happened, Written written) {
    super(happened, written);
    this.batchId = batchId;
  }

  UUID batchId() {
    return batchId;
  }
}
