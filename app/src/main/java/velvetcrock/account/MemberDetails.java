package velvetcrock.account;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;
import velvetcrock.web.InHousehold;

/** A member who has signed in. */
record MemberDetails(UUID householdId, String login, String displayName, String passwordHash)
    implements UserDetails, InHousehold {

  MemberDetails(Member member) {
    this(member.householdId(), member.login(), member.name(), member.passwordHash());
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of();
  }

  @Override
  public String getPassword() {
    return passwordHash;
  }

  @Override
  public String getUsername() {
    return login;
  }
}
