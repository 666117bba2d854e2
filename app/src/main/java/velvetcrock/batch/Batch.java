package velvetcrock.batch;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.JarIn;
import velvetcrock.ledger.Kept;

/** A batch's name and the state that its log folds to, kept beside the log for reading. */
@Entity
class Batch {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String code;
  private String herbKey;
  private String status;
  private boolean standing;
  private String vessel;
  private LocalDate chargedOn;

  @Embedded private Kept kept;

  private Instant createdAt;

  /** For Hibernate. */
  protected Batch() {}

  Batch(UUID id, String code, BatchState folded, Kept keeping, Instant createdAt) {
    this.id = id;
    this.code = code;
    this.createdAt = createdAt;
    become(folded, keeping);
  }

  UUID id() {
    return id;
  }

  String code() {
    return code;
  }

  Kept kept() {
    return kept;
  }

  void become(BatchState folded, Kept keeping) {
    herbKey = folded.charge().herbs().get(0).herb();
    status = folded.status().name();
    standing = folded.standing();
    vessel = vessel(folded.vessel());
    chargedOn = folded.charge().begun().chargedOn();
    kept = keeping;
  }

  /** Whether what is kept beside the state for finding it is what the state says. */
  boolean tells(BatchState folded) {
    return status.equals(folded.status().name())
        && standing == folded.standing()
        && vessel.equals(vessel(folded.vessel()))
        && herbKey.equals(folded.charge().herbs().get(0).herb())
        && chargedOn.equals(folded.charge().begun().chargedOn());
  }

  /** What names a vessel: its key in the kitchen, or what it is called where it has none. */
  private static String vessel(JarIn vessel) {
    return vessel.key() == null ? vessel.name() : vessel.key();
  }
}
