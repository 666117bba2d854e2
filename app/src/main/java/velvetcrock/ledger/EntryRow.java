package velvetcrock.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Entry;

/** A line of a log as it is stored, whatever it is the log of; never changed once written. */
@Entity
@Immutable
@Table(name = "entry")
class EntryRow {
  @Id private UUID id;
  @TenantId private UUID householdId;

  @Enumerated(EnumType.STRING)
  private Subject subject;

  private UUID subjectId;
  private int number;
  private String kind;
  private int version;

  @Column(columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private String data;

  private Instant happenedAt;
  private Instant writtenAt;
  private String writtenBy;
  private @Nullable UUID replaces;
  private String idempotencyKey;

  @Column(columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private @Nullable String answer;

  /** For Hibernate. */
  protected EntryRow() {}

  /** What is stored of the event. */
  record Content(String kind, int version, String data) {}

  /**
   * How it was written.
   *
   * @param key names the writing, so that a repeat of it is not written twice
   * @param answer what whoever wrote it was answered, as JSON; null for nothing in particular
   */
  record Written(Instant at, String by, String key, @Nullable String answer) {}

  EntryRow(Subject subject, UUID subjectId, Entry<?> entry, Content content, Written written) {
    this.id = entry.id();
    this.subject = subject;
    this.subjectId = subjectId;
    this.number = entry.number();
    this.kind = content.kind();
    this.version = content.version();
    this.data = content.data();
    this.happenedAt = entry.at();
    this.writtenAt = written.at();
    this.writtenBy = written.by();
    this.replaces = entry.replaces();
    this.idempotencyKey = written.key();
    this.answer = written.answer();
  }

  UUID id() {
    return id;
  }

  Subject subject() {
    return subject;
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

  int version() {
    return version;
  }

  String data() {
    return data;
  }

  Instant happenedAt() {
    return happenedAt;
  }

  Instant writtenAt() {
    return writtenAt;
  }

  String writtenBy() {
    return writtenBy;
  }

  @Nullable UUID replaces() {
    return replaces;
  }

  String key() {
    return idempotencyKey;
  }

  @Nullable String answer() {
    return answer;
  }
}
