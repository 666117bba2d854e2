package velvetcrock.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.MDC;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Has each line of the log file say in which request it was written and, by its pseudonym, for
 * which household. A proxy before us may name the request; the answer names it too.
 */
@Component
class LoggedWith extends OncePerRequestFilter {
  private static final String REQUEST = "in_request";
  private static final String HOUSEHOLD = "of_household";
  private static final String HEADER = "X-Request-Id";
  private static final Pattern NAME = Pattern.compile("[A-Za-z0-9._-]{1,64}");

  private final CurrentHousehold current;

  LoggedWith(CurrentHousehold current) {
    this.current = current;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return request.getRequestURI().startsWith(Assets.PATH);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String name = name(request.getHeader(HEADER));
    MDC.put(REQUEST, name);
    response.setHeader(HEADER, name);
    current.who().ifPresent(who -> MDC.put(HOUSEHOLD, Pseudonym.of(who.householdId())));
    try {
      chain.doFilter(request, response);
    } finally {
      MDC.remove(REQUEST);
      MDC.remove(HOUSEHOLD);
    }
  }

  private static String name(@Nullable String given) {
    return given != null && NAME.matcher(given).matches() ? given : UUID.randomUUID().toString();
  }
}
