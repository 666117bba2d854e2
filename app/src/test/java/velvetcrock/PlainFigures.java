package velvetcrock;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/** Takes the marks around figures out of pages, so that a test reads a sentence as people do. */
class PlainFigures extends OncePerRequestFilter {
  static final String MARK = "<span class=\"fig\" title=\"[^\"]*\">([^<]*)</span>";

  /** The stove’s stream never ends and must not be held back. */
  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return request.getRequestURI().equals("/stove/live");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    ContentCachingResponseWrapper held = new ContentCachingResponseWrapper(response);
    chain.doFilter(request, held);
    String type = held.getContentType();
    if (type == null || !type.startsWith("text/html")) {
      held.copyBodyToResponse();
      return;
    }
    String page = new String(held.getContentAsByteArray(), StandardCharsets.UTF_8);
    response.getOutputStream().write(page.replaceAll(MARK, "$1").getBytes(StandardCharsets.UTF_8));
  }
}
