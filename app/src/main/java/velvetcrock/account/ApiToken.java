package velvetcrock.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A secret by which a script or a probe acts for a household; only its hash is kept. */
@Entity
class ApiToken {
  @Id private UUID id;
  private UUID householdId;
  private String name;
  private String tokenHash;
  private Instant createdAt;
  private @Nullable Instant revokedAt;

  /** For Hibernate. */
  protected ApiToken() {}

  ApiToken(UUID householdId, String name, String tokenHash, Instant now) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.name = name;
    this.tokenHash = tokenHash;
    this.createdAt = now;
  }

  public UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  public String name() {
    return name;
  }

  public Instant createdAt() {
    return createdAt;
  }

  boolean good() {
    return revokedAt == null;
  }

  void revoke(Instant now) {
    revokedAt = now;
  }
}
