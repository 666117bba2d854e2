package velvetcrock.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
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

  @Enumerated(EnumType.STRING)
  private Role role;

  private Instant createdAt;

  /** Until when a keeper has seen what keepers are told. */
  private Instant toldUntil;

  /** For Hibernate. */
  protected Member() {}

  Member(
      UUID householdId,
      String login,
      String name,
      String passwordHash,
      Role role,
      Instant createdAt) {
    this.id = UUID.randomUUID();
    this.householdId = householdId;
    this.login = login;
    this.name = name;
    this.passwordHash = passwordHash;
    this.role = role;
    this.createdAt = createdAt;
    this.toldUntil = createdAt;
  }

  public UUID id() {
    return id;
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

  public Role role() {
    return role;
  }

  Instant toldUntil() {
    return toldUntil;
  }

  void told(Instant until) {
    toldUntil = until;
  }

  void rename(String newName) {
    name = newName;
  }

  void become(Role newRole) {
    role = newRole;
  }

  void keepPassword(String hash) {
    passwordHash = hash;
  }

  String passwordHash() {
    return passwordHash;
  }
}
