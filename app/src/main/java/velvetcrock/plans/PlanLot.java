package velvetcrock.plans;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** What a plan has promised to itself of a lot. */
@Entity
class PlanLot {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID planId;
  private UUID lotId;
  private double amount;

  /** For Hibernate. */
  protected PlanLot() {}

  PlanLot(UUID planId, UUID lotId, double amount) {
    this.id = UUID.randomUUID();
    this.planId = planId;
    this.lotId = lotId;
    this.amount = amount;
  }
}
