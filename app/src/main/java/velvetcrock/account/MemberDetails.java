package velvetcrock.account;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;
import velvetcrock.web.InHousehold;

/**
 * A member who has signed in. What is kept of the password is forgotten once it has been compared.
 */
final class MemberDetails implements UserDetails, InHousehold, CredentialsContainer {
  /** A name that no member can have, so that a visitor of the demo is never taken for one. */
  private static final String VISITOR = "(visitor)";

  private static final long serialVersionUID = 2;

  private final UUID householdId;
  private final String login;
  private final String displayName;
  private final Role role;
  private transient @Nullable String passwordHash;

  private MemberDetails(
      UUID householdId, String login, String displayName, Role role, @Nullable String hash) {
    this.householdId = householdId;
    this.login = login;
    this.displayName = displayName;
    this.role = role;
    this.passwordHash = hash;
  }

  MemberDetails(Member member) {
    this(member.householdId(), member.login(), member.name(), member.role(), member.passwordHash());
  }

  /** Somebody who looks around the demo. */
  static MemberDetails visitor(UUID demo) {
    return new MemberDetails(demo, VISITOR, "Keeper", Role.VISITOR, null);
  }

  Role role() {
    return role;
  }

  @Override
  public UUID householdId() {
    return householdId;
  }

  @Override
  public String displayName() {
    return displayName;
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of(new SimpleGrantedAuthority(role.authority()));
  }

  @Override
  public @Nullable String getPassword() {
    return passwordHash;
  }

  @Override
  public String getUsername() {
    return login;
  }

  @Override
  public void eraseCredentials() {
    passwordHash = null;
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof MemberDetails member
        && member.login.equals(login)
        && member.householdId.equals(householdId);
  }

  @Override
  public int hashCode() {
    return login.hashCode();
  }
}
