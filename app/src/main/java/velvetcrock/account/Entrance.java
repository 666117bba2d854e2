package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.logout.LogoutHandler;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Refused;

/**
 * Where somebody comes in: the session says from then on who it is and on what, and for ten minutes
 * that the password has just been shown. What would hurt most asks for it again after that.
 */
@Component
class Entrance implements LogoutHandler {
  /** So long a sign-in is fresh. */
  static final Duration FRESH = Duration.ofMinutes(10);

  private final SecurityContextRepository contexts;
  private final Accounts accounts;
  private final PasswordEncoder passwords;
  private final SignInLimiter limiter;
  private final Chronicle chronicle;
  private final Recoveries recoveries;
  private final Clock clock;

  Entrance(
      SecurityContextRepository contexts,
      Accounts accounts,
      PasswordEncoder passwords,
      SignInLimiter limiter,
      Chronicle chronicle,
      Recoveries recoveries,
      Clock clock) {
    this.recoveries = recoveries;
    this.contexts = contexts;
    this.accounts = accounts;
    this.passwords = passwords;
    this.limiter = limiter;
    this.chronicle = chronicle;
    this.clock = clock;
  }

  /** Signs somebody in, in a session of its own. */
  void enter(UserDetails who, HttpServletRequest request, HttpServletResponse response) {
    if (request.getSession(false) != null) {
      request.changeSessionId();
    }
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities()));
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
    cameIn((MemberDetails) who, "", request);
  }

  /**
   * Signs somebody in for the first time: the codes for a lost password are shown this once.
   *
   * @return where to go on
   */
  String enterFirst(
      UserDetails who,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    enter(who, request, response);
    flash.addFlashAttribute("codes", recoveries.makeCodes(who.getUsername()));
    return "redirect:/account/codes";
  }

  /** Notes that somebody has come in. */
  void cameIn(MemberDetails who, String how, HttpServletRequest request) {
    Device device = Device.of(request, clock.instant());
    request.getSession().setAttribute(Device.ATTRIBUTE, device);
    if (who.role() != Role.VISITOR) {
      chronicle.noteOf(who.householdId(), who.displayName(), Deed.SIGNED_IN, device.what() + how);
    }
  }

  /** Notes that somebody could not. */
  void turnedAway(String login, String address) {
    limiter.failed(login, address);
    var known = accounts.find(login);
    chronicle.noteOf(
        known.map(Member::householdId).orElse(null),
        known.map(Member::name).orElse(login),
        Deed.SIGN_IN_FAILED,
        "");
  }

  /** Notes that somebody goes out. */
  @Override
  public void logout(
      HttpServletRequest request, HttpServletResponse response, @Nullable Authentication who) {
    if (who != null
        && who.getPrincipal() instanceof MemberDetails member
        && member.role() != Role.VISITOR) {
      chronicle.noteOf(member.householdId(), member.displayName(), Deed.SIGNED_OUT, "");
    }
  }

  /** Whether the password was shown within ten minutes. */
  boolean fresh(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session != null
        && session.getAttribute(Device.ATTRIBUTE) instanceof Device device
        && device.at().plus(FRESH).isAfter(clock.instant());
  }

  /**
   * Asks that whoever is signed in has shown the password just now, or shows it.
   *
   * @param shown what was typed; not looked at where the sign-in is fresh
   * @throws Refused at {@code password}
   */
  void showAgain(MemberDetails who, String shown, HttpServletRequest request) {
    if (fresh(request)) {
      return;
    }
    String address = request.getRemoteAddr();
    if (!limiter.openTo(address) || !limiter.openFor(who.getUsername())) {
      throw new Refused("password", "Too many wrong ones. Wait ten minutes.");
    }
    Member member = accounts.find(who.getUsername()).orElseThrow();
    if (!PasswordRules.possible(shown) || !passwords.matches(shown, member.passwordHash())) {
      limiter.failed(who.getUsername(), address);
      throw new Refused("password", "Type your password once more for this.");
    }
    request.getSession().setAttribute(Device.ATTRIBUTE, Device.of(request, clock.instant()));
  }
}
