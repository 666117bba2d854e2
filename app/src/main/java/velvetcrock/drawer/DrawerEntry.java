package velvetcrock.drawer;

import jakarta.persistence.Entity;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import velvetcrock.web.StoredEntry;

/** A line in the log of a lot or a load. */
@Entity
@Immutable
class DrawerEntry extends StoredEntry {
  private UUID subjectId;

  /** For Hibernate. */
  protected DrawerEntry() {}

  DrawerEntry(UUID subjectId, Happened happened, Written written) {
    super(happened, written);
    this.subjectId = subjectId;
  }

  UUID subjectId() {
    return subjectId;
  }
}
