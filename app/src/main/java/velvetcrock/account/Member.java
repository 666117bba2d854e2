package velvetcrock.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** Somebody who can sign in. */
@Entity
class Member {
  @Id private UUID id;
  private UUID householdId;
  private String login;
  private String name;
  private String passwordHash;
  private Instant createdAt;

  /** For Hibernate. */
  protected Member() {}

  Member(UUID householdId, String login, String name, String passwordHash, Instant createdAt) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.login = login;
    this.name = name;
    this.passwordHash = passwordHash;
    this.createdAt = createdAt;
  }

  UUID householdId() {
    return householdId;
  }

  public String login() {
    return login;
  }

  public String name() {
    return name;
  }

  void keepPassword(String hash) {
    passwordHash = hash;
  }

  String passwordHash() {
    return passwordHash;
  }
}
