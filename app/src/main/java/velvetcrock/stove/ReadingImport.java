package velvetcrock.stove;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A logger's file as it was read. */
@Entity
public class ReadingImport {
  @Id private UUID id;
  @TenantId private UUID householdId;

  @Generated
  @jakarta.persistence.Column(insertable = false, updatable = false)
  private int number;

  private UUID batchId;
  private String fileName;

  @Enumerated(EnumType.STRING)
  private Status status;

  private long bytes;
  private long lines;
  private long accepted;
  private long repeated;
  private long rejected;
  private String readAs = "";
  private String message = "";
  private String sentBy;
  private @Nullable UUID heldBy;
  private Instant startedAt;
  private @Nullable Instant finishedAt;

  /** Where it stands. */
  public enum Status {
    /** Something has to be said before it can be read. */
    ASKED,
    /** Being read. */
    READING,
    /** Read, wholly or partly. */
    TAKEN,
    /** Refused as a whole: nothing was taken. */
    REFUSED,
    /** Taken back as a whole. */
    UNDONE
  }

  /** Whether it is still being read. */
  public boolean reading() {
    return status == Status.READING;
  }

  /** Whether it waits for an answer. */
  public boolean asked() {
    return status == Status.ASKED;
  }

  /** Whether it was refused as a whole. */
  public boolean refused() {
    return status == Status.REFUSED;
  }

  /** Whether some of it was taken. */
  public boolean taken() {
    return status == Status.TAKEN;
  }

  /** Whether it was taken back. */
  public boolean takenBack() {
    return status == Status.UNDONE;
  }

  /** How it stands, in a word or two. */
  public String told() {
    return switch (status) {
      case ASKED -> "asks something";
      case READING -> "being read";
      case TAKEN -> accepted + " taken";
      case REFUSED -> "refused";
      case UNDONE -> "taken back";
    };
  }

  /** For Hibernate. */
  protected ReadingImport() {}

  ReadingImport(
      UUID batchId, String fileName, long bytes, String sentBy, UUID heldBy, Instant now) {
    this.id = UUID.randomUUID();
    this.batchId = batchId;
    this.fileName = fileName;
    this.status = Status.ASKED;
    this.bytes = bytes;
    this.sentBy = sentBy;
    this.heldBy = heldBy;
    this.startedAt = now;
  }

  void askAgain() {
    status = Status.ASKED;
  }

  void reading(String as) {
    status = Status.READING;
    readAs = as;
  }

  void taken(long allLines, long taken, long again, long bad, Instant now) {
    status = Status.TAKEN;
    lines = allLines;
    accepted = taken;
    repeated = again;
    rejected = bad;
    finishedAt = now;
  }

  void refused(String why, long allLines, long bad, Instant now) {
    status = Status.REFUSED;
    message = why;
    lines = allLines;
    rejected = bad;
    finishedAt = now;
  }

  void undone() {
    status = Status.UNDONE;
  }

  public UUID id() {
    return id;
  }

  int number() {
    return number;
  }

  UUID batchId() {
    return batchId;
  }

  public String fileName() {
    return fileName;
  }

  public Status status() {
    return status;
  }

  public long bytes() {
    return bytes;
  }

  public long lines() {
    return lines;
  }

  public long accepted() {
    return accepted;
  }

  public long repeated() {
    return repeated;
  }

  public long rejected() {
    return rejected;
  }

  public String readAs() {
    return readAs;
  }

  public String message() {
    return message;
  }

  public String sentBy() {
    return sentBy;
  }

  public Instant startedAt() {
    return startedAt;
  }
}
