package velvetcrock.pots;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.melt.PotState;
import velvetcrock.core.pot.Making;

/** A pot's state that its log folds to, kept beside it for reading. */
@Entity
@Table(name = "pot")
class PotRow {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String code;
  private String name;

  @Enumerated(EnumType.STRING)
  private Making making;

  @Enumerated(EnumType.STRING)
  private PotState.Status status;

  private LocalDate madeOn;
  private LocalDate bestBefore;
  private String wax;
  private boolean troubled;

  @Column(columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private String state;

  private Instant createdAt;

  /** For Hibernate. */
  protected PotRow() {}

  PotRow(UUID id, String code, Instant createdAt) {
    this.id = id;
    this.code = code;
    this.createdAt = createdAt;
  }

  UUID id() {
    return id;
  }

  String code() {
    return code;
  }

  LocalDate madeOn() {
    return madeOn;
  }

  LocalDate bestBefore() {
    return bestBefore;
  }

  String state() {
    return state;
  }

  void become(PotState folded, String json, LocalDate made, LocalDate until) {
    name = folded.plan().name();
    making = folded.plan().making();
    status = folded.status();
    madeOn = made;
    bestBefore = until;
    wax = folded.tests().isEmpty() ? "" : folded.tests().get(folded.tests().size() - 1).wax();
    troubled = folded.tins().stream().anyMatch(t -> !t.reactions().isEmpty());
    state = json;
  }
}
