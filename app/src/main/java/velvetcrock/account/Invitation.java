package velvetcrock.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A link by which one more person may join a household; good once and for a week. */
@Entity
class Invitation {
  private static final Duration GOOD_FOR = Duration.ofDays(7);

  @Id private UUID id;
  private UUID householdId;
  private String tokenHash;

  @Enumerated(EnumType.STRING)
  private Role role;

  private String invitedBy;
  private Instant createdAt;
  private Instant expiresAt;
  private @Nullable Instant usedAt;
  private @Nullable Instant withdrawnAt;

  /** For Hibernate. */
  protected Invitation() {}

  Invitation(UUID householdId, String tokenHash, Role role, String invitedBy, Instant now) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.tokenHash = tokenHash;
    this.role = role;
    this.invitedBy = invitedBy;
    this.createdAt = now;
    this.expiresAt = now.plus(GOOD_FOR);
  }

  public UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  public Role role() {
    return role;
  }

  public String invitedBy() {
    return invitedBy;
  }

  public Instant expiresAt() {
    return expiresAt;
  }

  boolean goodAt(Instant now) {
    return usedAt == null && withdrawnAt == null && now.isBefore(expiresAt);
  }

  void use(Instant now) {
    usedAt = now;
  }

  void withdraw(Instant now) {
    withdrawnAt = now;
  }
}
