package velvetcrock.drawer;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.drawer.Drying;
import velvetcrock.ledger.Kept;

/** A drying load's state that its log folds to, kept beside it for reading. */
@Entity
@Table(name = "drying_load")
class LoadRow {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String herbKey;
  private boolean standing;
  private Instant begunAt;

  @Embedded private Kept kept;

  private Instant createdAt;

  /** For Hibernate. */
  protected LoadRow() {}

  LoadRow(UUID id, Drying drying, Kept keeping, Instant createdAt) {
    this.id = id;
    this.createdAt = createdAt;
    become(drying, keeping);
  }

  UUID id() {
    return id;
  }

  Kept kept() {
    return kept;
  }

  void become(Drying drying, Kept keeping) {
    herbKey = drying.begun().herb();
    standing = drying.standing();
    begunAt = drying.begunAt();
    kept = keeping;
  }
}
