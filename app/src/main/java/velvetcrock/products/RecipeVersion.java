package velvetcrock.products;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.ColumnTransformer;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;

/** A version of a recipe; never changed once written. */
@Entity
@Immutable
class RecipeVersion {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID recipeId;
  private int number;

  @Column(columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private String body;

  private String changed;
  private Instant writtenAt;
  private String writtenBy;

  /** For Hibernate. */
  protected RecipeVersion() {}

  RecipeVersion(UUID recipeId, int number, String body, String changed, Instant at, String by) {
    this.id = UUID.randomUUID();
    this.recipeId = recipeId;
    this.number = number;
    this.body = body;
    this.changed = changed;
    this.writtenAt = at;
    this.writtenBy = by;
  }

  UUID recipeId() {
    return recipeId;
  }

  int number() {
    return number;
  }

  String body() {
    return body;
  }

  String changed() {
    return changed;
  }

  Instant writtenAt() {
    return writtenAt;
  }

  String writtenBy() {
    return writtenBy;
  }
}
