package velvetcrock.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
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

  @Enumerated(EnumType.STRING)
  private Scope scope;

  private String madeBy;
  private Instant createdAt;
  private @Nullable Instant expiresAt;
  private @Nullable Instant lastUsedAt;
  private @Nullable Instant revokedAt;

  /** For Hibernate. */
  protected ApiToken() {}

  ApiToken(
      UUID householdId,
      String name,
      String tokenHash,
      Scope scope,
      String madeBy,
      Instant now,
      @Nullable Instant expiresAt) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.name = name;
    this.tokenHash = tokenHash;
    this.scope = scope;
    this.madeBy = madeBy;
    this.createdAt = now;
    this.expiresAt = expiresAt;
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

  public Scope scope() {
    return scope;
  }

  public String madeBy() {
    return madeBy;
  }

  public Instant createdAt() {
    return createdAt;
  }

  public @Nullable Instant expiresAt() {
    return expiresAt;
  }

  public @Nullable Instant lastUsedAt() {
    return lastUsedAt;
  }

  /** Whether it opens nothing any more because its time is over. */
  public boolean over(Instant now) {
    return expiresAt != null && !now.isBefore(expiresAt);
  }

  boolean goodAt(Instant now) {
    return revokedAt == null && !over(now);
  }

  void revoke(Instant now) {
    revokedAt = now;
  }
}
