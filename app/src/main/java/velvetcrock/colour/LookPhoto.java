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

  /**
   * A picture of a batch.
   *
   * @param id named by whoever sends it, so that it is kept once
   * @param sentAt when it was handed over: on a phone that was away, before it came in
   */
  LookPhoto(UUID id, UUID batchId, byte[] jpeg, Instant sentAt) {
    this.id = id;
    this.batchId = batchId;
    this.jpeg = jpeg;
    this.sentAt = sentAt;
  }

  /** When it shows the oil. */
  Instant takenAt() {
    return sentAt;
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
