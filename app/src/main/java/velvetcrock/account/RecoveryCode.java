package velvetcrock.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One of the words that let somebody in who has lost the password; only its hash is kept. */
@Entity
class RecoveryCode {
  @Id private UUID id;
  private UUID householdId;
  private UUID memberId;
  private String codeHash;
  private Instant madeAt;
  private @Nullable Instant usedAt;

  /** For Hibernate. */
  protected RecoveryCode() {}

  RecoveryCode(Member member, String codeHash, Instant now) {
    this.id = UUID.randomUUID();
    this.householdId = member.householdId();
    this.memberId = member.id();
    this.codeHash = codeHash;
    this.madeAt = now;
  }

  UUID memberId() {
    return memberId;
  }

  boolean unused() {
    return usedAt == null;
  }

  void use(Instant now) {
    usedAt = now;
  }
}
