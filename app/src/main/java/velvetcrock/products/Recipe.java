package velvetcrock.products;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** A recipe of one's own; what it says is in its versions. */
@Entity
class Recipe {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String name;
  private Instant madeAt;

  /** For Hibernate. */
  protected Recipe() {}

  Recipe(UUID id, String name, Instant madeAt) {
    this.id = id;
    this.name = name;
    this.madeAt = madeAt;
  }

  UUID id() {
    return id;
  }

  String name() {
    return name;
  }

  void called(String now) {
    name = now;
  }
}
