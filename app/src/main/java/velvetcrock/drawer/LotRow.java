package velvetcrock.drawer;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;
import velvetcrock.ledger.Kept;

/** A lot's state that its log folds to, kept beside it for reading. */
@Entity
@Table(name = "lot")
class LotRow {
  @Id private UUID id;
  @TenantId private UUID householdId;

  @Enumerated(EnumType.STRING)
  private LotDetails.Kind kind;

  private String thingKey;

  @Enumerated(EnumType.STRING)
  private @Nullable HerbState herbState;

  private boolean standing;
  private double amount;
  private double most;
  private @Nullable LocalDate goodUntil;
  private @Nullable LocalDate since;

  /** Null where nobody has said so yet. */
  private @Nullable Instant lastTakenAt;

  @Embedded private Kept kept;

  private Instant createdAt;

  /** For Hibernate. */
  protected LotRow() {}

  LotRow(UUID id, Lot lot, Kept keeping, Catalogue catalogue, Instant createdAt) {
    this.id = id;
    this.createdAt = createdAt;
    become(lot, keeping, catalogue);
  }

  UUID id() {
    return id;
  }

  double amount() {
    return amount;
  }

  Kept kept() {
    return kept;
  }

  void become(Lot lot, Kept keeping, Catalogue catalogue) {
    kind = lot.details().kind();
    thingKey = lot.details().thing();
    herbState = lot.details().plant().state();
    standing = lot.standing();
    amount = lot.amount();
    most = lot.most();
    goodUntil = lot.goodUntil(catalogue).orElse(null);
    since = lot.since().orElse(null);
    lastTakenAt =
        lot.takings().stream().map(Lot.Taking::at).max(Comparator.naturalOrder()).orElse(createdAt);
    kept = keeping;
  }
}
