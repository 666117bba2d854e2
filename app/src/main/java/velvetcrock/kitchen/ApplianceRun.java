package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** What one run on one setting turned out to be. */
@Entity
class ApplianceRun {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID applianceId;
  private UUID batchId;
  private String setting;
  private Instant begunAt;
  private double settledCelsius;
  private double rippleCelsius;
  private double overshootCelsius;
  private double settleMinutes;

  /** For Hibernate. */
  protected ApplianceRun() {}

  ApplianceRun(UUID batchId, Appliances.Run run) {
    this.id = UUID.randomUUID();
    this.applianceId = run.applianceId();
    this.batchId = batchId;
    this.setting = run.setting();
    this.begunAt = run.begunAt();
    this.settledCelsius = run.settled().meanC();
    this.rippleCelsius = run.settled().rippleC();
    this.overshootCelsius = run.settled().overshootC();
    this.settleMinutes = run.settled().minutes();
  }
}
