package velvetcrock.account;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;
import velvetcrock.web.Secrets;

/** The devices on which somebody is signed in: the sessions under his name. */
@Component
class Devices {
  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  Devices(FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.sessions = sessions;
  }

  /**
   * A device.
   *
   * @param id names it without letting anybody in
   * @param here whether it is the one that asks
   */
  record Row(String id, String what, String address, Instant since, Instant used, boolean here) {}

  /** All of somebody’s, the one that asks first, then by last use. */
  List<Row> of(String login, @Nullable String here) {
    return sessions.findByPrincipalName(login).values().stream()
        .map(s -> row(s, here))
        .sorted(Comparator.comparing(Row::here).thenComparing(Row::used).reversed())
        .toList();
  }

  private static Row row(Session session, @Nullable String here) {
    Device device = session.getAttribute(Device.ATTRIBUTE);
    return new Row(
        Secrets.hash(session.getId()),
        device == null ? "A browser" : device.what(),
        device == null ? "" : device.address(),
        session.getCreationTime(),
        session.getLastAccessedTime(),
        session.getId().equals(here));
  }

  /** Signs one of somebody’s out; what it was, or empty if it is gone already. */
  Optional<String> signOut(String login, String id) {
    return sessions.findByPrincipalName(login).values().stream()
        .filter(s -> Secrets.hash(s.getId()).equals(id))
        .findFirst()
        .map(
            s -> {
              sessions.deleteById(s.getId());
              return row(s, null).what();
            });
  }

  /** Signs all of somebody’s out but one. */
  int signOutAll(String login, @Nullable String but) {
    List<String> others =
        sessions.findByPrincipalName(login).keySet().stream()
            .filter(id -> !id.equals(but))
            .toList();
    others.forEach(sessions::deleteById);
    return others.size();
  }

  /** Lets every device of somebody know what he is called and may do from now on. */
  void refresh(Member member) {
    refresh(sessions, member);
  }

  private static <S extends Session> void refresh(
      FindByIndexNameSessionRepository<S> sessions, Member member) {
    for (S session : sessions.findByPrincipalName(member.login()).values()) {
      session.setAttribute(
          HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY, context(member));
      sessions.save(session);
    }
  }

  /** What a session says of whoever is signed in. */
  static SecurityContext context(Member member) {
    MemberDetails who = new MemberDetails(member);
    who.eraseCredentials();
    return new SecurityContextImpl(
        UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities()));
  }
}
