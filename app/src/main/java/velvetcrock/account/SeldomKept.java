package velvetcrock.account;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

/**
 * Sessions as requests have them. When somebody last looked is kept once a minute, and a session
 * that nothing was put into is not kept at all: a page that is read writes nothing, and does not
 * ask whether there is something to write.
 */
class SeldomKept<S extends Session> implements SessionRepository<SeldomKept.Shown<S>> {
  private static final Duration SELDOM = Duration.ofMinutes(1);

  private final SessionRepository<S> sessions;

  SeldomKept(SessionRepository<S> sessions) {
    this.sessions = sessions;
  }

  @Override
  public Shown<S> createSession() {
    return new Shown<>(sessions.createSession(), true);
  }

  @Override
  public void save(Shown<S> shown) {
    if (shown.changed) {
      sessions.save(shown.session);
      shown.changed = false;
    }
  }

  @Override
  public @Nullable Shown<S> findById(String id) {
    S found = sessions.findById(id);
    return found == null ? null : new Shown<>(found, false);
  }

  @Override
  public void deleteById(String id) {
    sessions.deleteById(id);
  }

  /** A session, and whether it is otherwise than it is kept. */
  static final class Shown<S extends Session> implements Session {
    private final S session;
    private boolean changed;

    private Shown(S session, boolean changed) {
      this.session = session;
      this.changed = changed;
    }

    @Override
    public String getId() {
      return session.getId();
    }

    @Override
    public String changeSessionId() {
      changed = true;
      return session.changeSessionId();
    }

    @Override
    public <T> @Nullable T getAttribute(String name) {
      return session.getAttribute(name);
    }

    @Override
    public Set<String> getAttributeNames() {
      return session.getAttributeNames();
    }

    @Override
    public void setAttribute(String name, @Nullable Object value) {
      changed = true;
      session.setAttribute(name, value);
    }

    @Override
    public void removeAttribute(String name) {
      changed = true;
      session.removeAttribute(name);
    }

    @Override
    public Instant getCreationTime() {
      return session.getCreationTime();
    }

    @Override
    public void setLastAccessedTime(Instant now) {
      if (now.isAfter(session.getLastAccessedTime().plus(SELDOM))) {
        changed = true;
        session.setLastAccessedTime(now);
      }
    }

    @Override
    public Instant getLastAccessedTime() {
      return session.getLastAccessedTime();
    }

    @Override
    public void setMaxInactiveInterval(Duration longest) {
      changed |= !longest.equals(session.getMaxInactiveInterval());
      session.setMaxInactiveInterval(longest);
    }

    @Override
    public Duration getMaxInactiveInterval() {
      return session.getMaxInactiveInterval();
    }

    @Override
    public boolean isExpired() {
      return session.isExpired();
    }
  }
}
