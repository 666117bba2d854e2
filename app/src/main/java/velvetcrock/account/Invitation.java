package velvetcrock.account;

import jakarta.persistence.Entity;
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
  private Instant createdAt;
  private Instant expiresAt;
  private @Nullable Instant usedAt;

  /** For Hibernate. */
  protected Invitation() {}

  Invitation(UUID householdId, String tokenHash, Instant now) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.tokenHash = tokenHash;
    this.createdAt = now;
    this.expiresAt = now.plus(GOOD_FOR);
  }

  UUID householdId() {
    return householdId;
  }

  boolean goodAt(Instant now) {
    return usedAt == null && now.isBefore(expiresAt);
  }

  void use(Instant now) {
    usedAt = now;
  }
}
