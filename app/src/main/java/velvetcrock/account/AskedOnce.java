package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.session.web.http.HttpSessionIdResolver;

/**
 * Reads a request's session once. What keeps sessions does so as an answer begins to be sent and
 * once more when it is over, having forgotten meanwhile which session was asked for, and would read
 * all of it again to say what is known: that the browser has it.
 */
class AskedOnce implements HttpSessionIdResolver {
  private static final String ASKED = AskedOnce.class.getName();

  private final HttpSessionIdResolver cookies;

  AskedOnce(HttpSessionIdResolver cookies) {
    this.cookies = cookies;
  }

  /** By whom it was asked, and what it was told: a page that tells of an error asks for itself. */
  private record Asked(HttpServletRequest by, List<String> ids) {}

  @Override
  public List<String> resolveSessionIds(HttpServletRequest request) {
    if (request.getAttribute(ASKED) instanceof Asked asked && asked.by() == request) {
      return List.of();
    }
    List<String> ids = cookies.resolveSessionIds(request);
    request.setAttribute(ASKED, new Asked(request, ids));
    return ids;
  }

  @Override
  public void setSessionId(
      HttpServletRequest request, HttpServletResponse response, String sessionId) {
    boolean known =
        request.getAttribute(ASKED) instanceof Asked asked && asked.ids().contains(sessionId);
    if (!known) {
      cookies.setSessionId(request, response, sessionId);
    }
  }

  @Override
  public void expireSession(HttpServletRequest request, HttpServletResponse response) {
    cookies.expireSession(request, response);
  }
}
