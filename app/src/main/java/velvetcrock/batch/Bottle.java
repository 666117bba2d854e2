package velvetcrock.batch;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.log.BatchReckoning.KeepingRange;
import velvetcrock.core.log.BottleState;

/** A bottle as it stands, written together with the entry that changes it. */
@Entity
class Bottle {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID batchId;
  private String letter;
  private double sizeMl;
  private double leftMl;
  private String place;
  private String glass;
  private LocalDate filledOn;
  private LocalDate bestBefore;
  private LocalDate bestBeforeLate;
  private String decidedBy;
  private boolean capped;
  private boolean gone;

  /** For Hibernate. */
  protected Bottle() {}

  Bottle(UUID batchId, BottleState bottle, LocalDate filledOn, KeepingRange keeping) {
    this.id = UUID.randomUUID();
    this.batchId = batchId;
    this.letter = bottle.letter();
    this.sizeMl = bottle.filled().sizeMl();
    this.filledOn = filledOn;
    become(bottle, keeping);
  }

  UUID batchId() {
    return batchId;
  }

  String letter() {
    return letter;
  }

  LocalDate bestBefore() {
    return bestBefore;
  }

  LocalDate bestBeforeLate() {
    return bestBeforeLate;
  }

  void become(BottleState bottle, KeepingRange keeping) {
    leftMl = bottle.leftMl();
    place = bottle.filled().place().name();
    glass = bottle.filled().glass().name();
    bestBefore = keeping.early().bestBefore();
    bestBeforeLate = keeping.late().bestBefore();
    decidedBy = keeping.early().decidedBy().name();
    capped = bottle.capped();
    gone = bottle.goneAt() != null;
  }
}
