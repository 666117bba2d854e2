package velvetcrock.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bounds what a stranger can make the house hold, before a byte of it is read: no files at all, and
 * few bodies at once, so that slow ones do not keep the threads from those who live here.
 */
class StrangerGate extends OncePerRequestFilter {
  private static final int AT_ONCE_BY_ADDRESS = 24;
  private static final int AT_ONCE = 96;

  private final Map<String, Integer> underWay = new ConcurrentHashMap<>();
  private final AtomicInteger all = new AtomicInteger();

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    boolean body =
        request.getContentLengthLong() > 0
            || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    return !body || signedIn();
  }

  private static boolean signedIn() {
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    return who != null && who.isAuthenticated() && !(who instanceof AnonymousAuthenticationToken);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String type = String.valueOf(request.getContentType()).toLowerCase(Locale.ROOT);
    if (type.startsWith("multipart/")) {
      // An answer of this status drops the connection, so that nothing is waited for.
      say(response, HttpStatus.BAD_REQUEST, "Sign in first, then send the file.");
      return;
    }
    String address = request.getRemoteAddr();
    try {
      int his = underWay.merge(address, 1, Integer::sum);
      if (all.incrementAndGet() > AT_ONCE || his > AT_ONCE_BY_ADDRESS) {
        response.setHeader(HttpHeaders.RETRY_AFTER, "5");
        say(response, HttpStatus.SERVICE_UNAVAILABLE, "Too much at once. Wait a moment.");
        return;
      }
      chain.doFilter(request, response);
    } finally {
      all.decrementAndGet();
      underWay.computeIfPresent(address, (key, count) -> count == 1 ? null : count - 1);
    }
  }

  private static void say(HttpServletResponse response, HttpStatus status, String words)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8");
    response.getWriter().write(words);
  }
}
