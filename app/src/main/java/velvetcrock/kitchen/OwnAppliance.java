package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.Appliance;

/** Something that the household keeps oil warm on. */
@Entity
@Table(name = "appliance")
class OwnAppliance {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String name;

  @Enumerated(EnumType.STRING)
  private Appliance kind;

  private Instant createdAt;
  private @Nullable Integer holds;

  /** For Hibernate. */
  protected OwnAppliance() {}

  OwnAppliance(String name, Appliance kind, Instant now) {
    this.id = UUID.randomUUID();
    this.name = name;
    this.kind = kind;
    this.createdAt = now;
  }

  UUID id() {
    return id;
  }

  String name() {
    return name;
  }

  Appliance kind() {
    return kind;
  }

  /** How many jars it holds at once. */
  int holds() {
    return holds == null ? kind.holds() : holds;
  }

  void counted(int jars) {
    holds = jars;
  }
}
