package velvetcrock.web;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A line of a log as it is stored, whatever it is the log of; never changed once written. */
@MappedSuperclass
public abstract class StoredEntry {
  @Id private UUID id;
  @TenantId private UUID householdId;
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
  protected StoredEntry() {}

  /**
   * What happened.
   *
   * @param number its place in the order of writing
   * @param replaces the entry that it takes the place of, if any
   */
  public record Happened(UUID id, int number, Instant at, @Nullable UUID replaces) {}

  /**
   * How it was written.
   *
   * @param kind names its kind
   * @param data it, as JSON
   * @param key names the writing, so that a repeat of it is not written twice
   */
  public record Written(String kind, String data, Instant at, String by, String key) {}

  /** A new line. */
  protected StoredEntry(Happened happened, Written written) {
    this.id = happened.id();
    this.number = happened.number();
    this.kind = written.kind();
    this.data = written.data();
    this.happenedAt = happened.at();
    this.writtenAt = written.at();
    this.writtenBy = written.by();
    this.replaces = happened.replaces();
    this.idempotencyKey = written.key();
  }

  /** Its id. */
  public UUID id() {
    return id;
  }

  /** Its place in the order of writing. */
  public int number() {
    return number;
  }

  /** The name of its kind. */
  public String kind() {
    return kind;
  }

  /** What happened, as JSON. */
  public String data() {
    return data;
  }

  /** When it happened. */
  public Instant happenedAt() {
    return happenedAt;
  }

  /** When it was written. */
  public Instant writtenAt() {
    return writtenAt;
  }

  /** Who wrote it. */
  public String writtenBy() {
    return writtenBy;
  }

  /** The entry that it takes the place of, if any. */
  public @Nullable UUID replaces() {
    return replaces;
  }

  /** What names its writing. */
  public String key() {
    return idempotencyKey;
  }
}
