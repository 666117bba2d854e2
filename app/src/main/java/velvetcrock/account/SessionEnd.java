package velvetcrock.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session ninety days after it began, however busy it is. */
class SessionEnd extends OncePerRequestFilter {
  static final Duration LONGEST = Duration.ofDays(90);

  private final Clock clock;

  SessionEnd(Clock clock) {
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    HttpSession session = request.getSession(false);
    if (session != null
        && Instant.ofEpochMilli(session.getCreationTime())
            .plus(LONGEST)
            .isBefore(clock.instant())) {
      session.invalidate();
    }
    chain.doFilter(request, response);
  }
}
