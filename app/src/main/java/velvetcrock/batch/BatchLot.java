package velvetcrock.batch;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** A lot that went into a batch, for tracing a tin to its harvest in one step. */
@Entity
class BatchLot {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID batchId;
  private UUID lotId;

  /** For Hibernate. */
  protected BatchLot() {}

  BatchLot(UUID batchId, UUID lotId) {
    this.id = UUID.randomUUID();
    this.batchId = batchId;
    this.lotId = lotId;
  }

  UUID lotId() {
    return lotId;
  }
}
