package velvetcrock.colour;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** A picture of a jar as it is kept. */
@Entity
class LookPhoto {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID batchId;
  private byte[] jpeg;
  private Instant sentAt;

  /** For Hibernate. */
  protected LookPhoto() {}

  LookPhoto(UUID batchId, byte[] jpeg, Instant sentAt) {
    this.id = UUID.randomUUID();
    this.batchId = batchId;
    this.jpeg = jpeg;
    this.sentAt = sentAt;
  }

  UUID id() {
    return id;
  }

  UUID batchId() {
    return batchId;
  }

  byte[] jpeg() {
    return jpeg;
  }
}
