package velvetcrock.plans;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A plan. */
@Entity
@Table(name = "plan")
class PlanRow {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String code;

  @JdbcTypeCode(SqlTypes.JSON)
  private String details;

  private String herbKey;
  private Instant beginsAt;
  private Instant readyAt;
  private LocalDate wantedBy;
  private @Nullable UUID applianceId;

  @Enumerated(EnumType.STRING)
  private Status status;

  private Instant madeAt;
  private String madeBy;
  private @Nullable Instant endedAt;
  private String idempotencyKey;

  /** What has become of it. */
  enum Status {
    /** It is still to be charged. */
    OPEN,
    /** It has been charged. */
    CHARGED,
    /** It was given up. */
    DROPPED
  }

  /** For Hibernate. */
  protected PlanRow() {}

  PlanRow(String code, PlanDetails plan, String details, String by, Instant madeAt, String key) {
    this.id = UUID.randomUUID();
    this.code = code;
    this.details = details;
    this.herbKey = plan.plant().herb();
    this.status = Status.OPEN;
    this.madeAt = madeAt;
    this.madeBy = by;
    this.idempotencyKey = key;
  }

  UUID id() {
    return id;
  }

  String code() {
    return code;
  }

  String details() {
    return details;
  }

  Instant beginsAt() {
    return beginsAt;
  }

  Instant readyAt() {
    return readyAt;
  }

  LocalDate wantedBy() {
    return wantedBy;
  }

  @Nullable UUID applianceId() {
    return applianceId;
  }

  Status status() {
    return status;
  }

  String madeBy() {
    return madeBy;
  }

  Instant madeAt() {
    return madeAt;
  }

  void wanted(LocalDate by) {
    wantedBy = by;
  }

  void placed(Instant begins, Instant ready, @Nullable UUID appliance) {
    beginsAt = begins;
    readyAt = ready;
    applianceId = appliance;
  }

  void end(Status how, Instant at) {
    status = how;
    endedAt = at;
  }
}
