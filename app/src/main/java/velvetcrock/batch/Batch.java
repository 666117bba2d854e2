package velvetcrock.batch;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.Event;

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

  @Column(columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private String state;

  private Instant createdAt;

  /** For Hibernate. */
  protected Batch() {}

  Batch(UUID id, String code, BatchState folded, String json, Instant createdAt) {
    this.id = id;
    this.code = code;
    this.createdAt = createdAt;
    become(folded, json);
  }

  UUID id() {
    return id;
  }

  String code() {
    return code;
  }

  String state() {
    return state;
  }

  void become(BatchState folded, String json) {
    herbKey = folded.charge().herbs().get(0).herb();
    status = folded.status().name();
    standing = folded.standing();
    vessel = vessel(folded.vessel());
    chargedOn = folded.charge().chargedOn();
    state = json;
  }

  /** What names a vessel: its key in the kitchen, or what it is called where it has none. */
  private static String vessel(Event.JarIn vessel) {
    return vessel.key() == null ? vessel.name() : vessel.key();
  }
}
