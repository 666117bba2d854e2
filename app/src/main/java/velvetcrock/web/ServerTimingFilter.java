package velvetcrock.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Says in a {@code Server-Timing} header how long the server took over a page, so that a benchmark
 * need not guess it from outside. Static files pass by unmeasured, and the stove's stream, which
 * never ends and must not be held back.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class ServerTimingFilter extends OncePerRequestFilter {
  private static final String STREAM = "/stove/live";
  private static final double NANOS_PER_HUNDREDTH = 1e4;
  private static final double HUNDREDTHS = 100;

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    String path = request.getRequestURI();
    return path.startsWith(Assets.PATH) || path.equals(STREAM);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long begin = System.nanoTime();
    ContentCachingResponseWrapper held = new ContentCachingResponseWrapper(response);
    chain.doFilter(request, held);
    long hundredths = Math.round((System.nanoTime() - begin) / NANOS_PER_HUNDREDTH);
    held.setHeader("Server-Timing", "app;dur=" + hundredths / HUNDREDTHS);
    held.copyBodyToResponse();
  }
}
