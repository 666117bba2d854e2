package velvetcrock.batch;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** A time at which a bottle's date moved, and why. */
@Entity
public class BottleDateMove {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID batchId;
  private String letter;
  private Instant movedAt;
  private LocalDate fromDate;
  private LocalDate toDate;
  private String why;

  /** For Hibernate. */
  protected BottleDateMove() {}

  BottleDateMove(
      UUID batchId, String letter, Instant movedAt, LocalDate from, LocalDate to, String why) {
    this.id = UUID.randomUUID();
    this.batchId = batchId;
    this.letter = letter;
    this.movedAt = movedAt;
    this.fromDate = from;
    this.toDate = to;
    this.why = why;
  }

  /** When that became known. */
  public Instant movedAt() {
    return movedAt;
  }

  /** The date before. */
  public LocalDate from() {
    return fromDate;
  }

  /** The date from then on. */
  public LocalDate to() {
    return toDate;
  }

  /** What moved it. */
  public String why() {
    return why;
  }
}
