package velvetcrock.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Turns sign-ins away while too many have failed, and such as nobody can have: the address is
 * looked at before the name, and its length before anything is kept or reckoned.
 */
class SignInGate extends OncePerRequestFilter {
  private final SignInLimiter limiter;

  SignInGate(SignInLimiter limiter) {
    this.limiter = limiter;
  }

  /** The name that is typed, as it would be kept; empty where nobody can have it. */
  static String login(HttpServletRequest request) {
    String login = text(request.getParameter("login"));
    return login.length() > Accounts.LONGEST_LOGIN ? "" : login.strip().toLowerCase(Locale.ROOT);
  }

  private static String text(@Nullable String typed) {
    return typed == null ? "" : typed;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (!request.getMethod().equals("POST") || !request.getRequestURI().equals("/sign-in")) {
      chain.doFilter(request, response);
      return;
    }
    String address = request.getRemoteAddr();
    if (!limiter.openTo(address) || !limiter.openFor(login(request))) {
      response.sendRedirect("/sign-in?wait");
    } else if (login(request).isEmpty()
        || !PasswordRules.possible(text(request.getParameter("password")))) {
      limiter.failed("", address);
      response.sendRedirect("/sign-in?wrong");
    } else {
      chain.doFilter(request, response);
    }
  }
}
