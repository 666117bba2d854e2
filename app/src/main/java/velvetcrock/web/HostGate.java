package velvetcrock.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers to the house’s own names alone: a page of elsewhere whose name was made to lead here
 * reads nothing, and no link that is handed out bears a name that somebody made up.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HostGate extends OncePerRequestFilter {
  private final HouseName house;

  HostGate(HouseName house) {
    this.house = house;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (house.answersTo(request.getServerName())) {
      chain.doFilter(request, response);
      return;
    }
    response.setStatus(HttpStatus.MISDIRECTED_REQUEST.value());
    response.setContentType(MediaType.TEXT_PLAIN_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response.getWriter().write("No house of that name is here.");
  }
}
