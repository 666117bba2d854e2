package velvetcrock.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A keeper lets somebody in again: a link that opens after a day, unless it is stopped. */
@Entity
class Recovery {
  /** How long everybody concerned has to stop it. */
  static final Duration DELAY = Duration.ofDays(1);

  private static final Duration GOOD_FOR = Duration.ofDays(7);

  @Id private UUID id;
  private UUID householdId;
  private UUID memberId;
  private String askedBy;
  private Instant askedAt;
  private Instant readyAt;
  private String secretHash;
  private @Nullable String stoppedBy;
  private @Nullable Instant endedAt;

  /** For Hibernate. */
  protected Recovery() {}

  Recovery(Member member, String askedBy, String secretHash, Instant now) {
    this.id = UUID.randomUUID();
    this.householdId = member.householdId();
    this.memberId = member.id();
    this.askedBy = askedBy;
    this.askedAt = now;
    this.readyAt = now.plus(DELAY);
    this.secretHash = secretHash;
  }

  public UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  UUID memberId() {
    return memberId;
  }

  public String askedBy() {
    return askedBy;
  }

  public Instant readyAt() {
    return readyAt;
  }

  /** Whether it waits or is good. */
  boolean openAt(Instant now) {
    return endedAt == null && now.isBefore(readyAt.plus(GOOD_FOR));
  }

  boolean readyAt(Instant now) {
    return openAt(now) && !now.isBefore(readyAt);
  }

  void use(Instant now) {
    endedAt = now;
  }

  void stop(String by, Instant now) {
    stoppedBy = by;
    endedAt = now;
  }
}
