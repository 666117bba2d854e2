package velvetcrock.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns sign-ins away while too many have failed. */
class SignInGate extends OncePerRequestFilter {
  private final SignInLimiter limiter;

  SignInGate(SignInLimiter limiter) {
    this.limiter = limiter;
  }

  static String login(HttpServletRequest request) {
    String login = request.getParameter("login");
    return login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean signingIn =
        request.getMethod().equals("POST") && request.getRequestURI().equals("/sign-in");
    if (signingIn && !limiter.open(login(request), request.getRemoteAddr())) {
      response.sendRedirect("/sign-in?wait");
      return;
    }
    chain.doFilter(request, response);
  }
}
