package velvetcrock.drawer;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.drawer.Drying;

/** A drying load's state that its log folds to, kept beside it for reading. */
@Entity
@Table(name = "drying_load")
class LoadRow {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String herbKey;
  private boolean standing;
  private Instant begunAt;

  @Column(columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private String state;

  private Instant createdAt;

  /** For Hibernate. */
  protected LoadRow() {}

  LoadRow(UUID id, Drying drying, String json, Instant createdAt) {
    this.id = id;
    this.createdAt = createdAt;
    become(drying, json);
  }

  UUID id() {
    return id;
  }

  String state() {
    return state;
  }

  void become(Drying drying, String json) {
    herbKey = drying.begun().herb();
    standing = drying.standing();
    begunAt = drying.begunAt();
    state = json;
  }
}
