package velvetcrock.drawer;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.Entry;

/** A line in the log of a lot or a load; never changed once written. */
@Entity
@Immutable
class DrawerEntry {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID subjectId;
  private int number;
  private String kind;

  @Column(columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private String data;

  private Instant happenedAt;
  private Instant writtenAt;
  private String writtenBy;
  private @Nullable UUID replaces;
  private String idempotencyKey;

  /** For Hibernate. */
  protected DrawerEntry() {}

  DrawerEntry(
      UUID subjectId,
      Entry<?> entry,
      String kind,
      String data,
      Instant writtenAt,
      String writtenBy,
      String idempotencyKey) {
    this.id = entry.id();
    this.subjectId = subjectId;
    this.number = entry.number();
    this.kind = kind;
    this.data = data;
    this.happenedAt = entry.at();
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
    this.replaces = entry.replaces();
    this.idempotencyKey = idempotencyKey;
  }

  UUID id() {
    return id;
  }

  UUID subjectId() {
    return subjectId;
  }

  int number() {
    return number;
  }

  String kind() {
    return kind;
  }

  String data() {
    return data;
  }

  Instant happenedAt() {
    return happenedAt;
  }

  String writtenBy() {
    return writtenBy;
  }

  @Nullable UUID replaces() {
    return replaces;
  }
}
