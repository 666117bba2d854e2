package velvetcrock.products;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.product.ProductState;
import velvetcrock.ledger.Kept;

/** A product's state that its log folds to, kept beside it for reading. */
@Entity
@Table(name = "product")
class ProductRow {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String code;
  private String name;

  @Enumerated(EnumType.STRING)
  private ProductKind making;

  @Enumerated(EnumType.STRING)
  private ProductState.Status status;

  private LocalDate madeOn;
  private LocalDate bestBefore;
  private @Nullable LocalDate labelledUntil;
  private int reckonedBy;
  private String wax;
  private boolean troubled;

  @Embedded private Kept kept;

  private Instant createdAt;

  /** For Hibernate. */
  protected ProductRow() {}

  ProductRow(UUID id, String code, Instant createdAt) {
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

  /** Its tins' labels were printed, with their dates as they are. */
  void labelled() {
    labelledUntil = bestBefore;
  }

  /** Nothing moves by the rules that hold now. */
  void reckoned() {
    reckonedBy = Keeping.RULES;
  }

  Kept kept() {
    return kept;
  }

  void become(ProductState folded, Kept keeping, LocalDate made, LocalDate until) {
    name = folded.plan().name();
    making = folded.plan().making();
    status = folded.status();
    madeOn = made;
    bestBefore = until;
    reckonedBy = Keeping.RULES;
    if (labelledUntil == null && status == ProductState.Status.POURED) {
      labelledUntil = until;
    }
    wax = folded.tests().isEmpty() ? "" : folded.tests().get(folded.tests().size() - 1).wax();
    troubled = folded.filling().tins().stream().anyMatch(t -> !t.reactions().isEmpty());
    kept = keeping;
  }
}
