package velvetcrock.account;

import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import velvetcrock.web.NotFound;

/** Whoever is signed in with an account. */
final class Me {
  private Me() {}

  /**
   * Who it is.
   *
   * @throws NotFound for a visitor of the demo, who has no account
   */
  static MemberDetails signedIn() {
    return anybody()
        .filter(who -> who.role() != Role.VISITOR)
        .orElseThrow(() -> new NotFound("Nobody has an account in the demo kitchen."));
  }

  /** Who it is, if anybody of a household or a visitor of the demo is. */
  static Optional<MemberDetails> anybody() {
    Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
    return Optional.ofNullable(authentication)
        .map(Authentication::getPrincipal)
        .filter(MemberDetails.class::isInstance)
        .map(MemberDetails.class::cast);
  }
}
