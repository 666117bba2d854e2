package velvetcrock.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says, in front of everything that needs the database, that it is away or that the disk is full; a
 * page that says so tries again by itself.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class StoreTroubles extends OncePerRequestFilter {
  private static final String AWAY =
      "The kitchen’s store is away. Nothing that was logged is lost, and nothing can be written until"
          + " it is back. This page tries again by itself.";
  private static final String FULL =
      "The disk of this kitchen is full. What was logged is safe, and nothing can be written until"
          + " there is room again. This page tries again by itself.";

  private final StoreWatch watch;

  StoreTroubles(StoreWatch watch) {
    this.watch = watch;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    String path = request.getRequestURI();
    return path.startsWith(Assets.PATH) || path.startsWith("/actuator/");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (watch.away()) {
      say(request, response, AWAY);
      return;
    }
    try {
      chain.doFilter(request, response);
    } catch (ServletException | IOException | RuntimeException failed) {
      String words = words(failed);
      if (words == null || response.isCommitted()) {
        throw failed;
      }
      response.reset();
      say(request, response, words);
    }
  }

  /** What is the matter with the store; null where it is something else. */
  private @Nullable String words(Throwable failed) {
    StoreTrouble trouble = StoreTrouble.of(failed).orElse(null);
    if (trouble == StoreTrouble.BROKEN) {
      watch.look();
      return watch.away() ? AWAY : null;
    }
    if (trouble == StoreTrouble.AWAY) {
      watch.look();
    }
    return trouble == null ? null : trouble == StoreTrouble.FULL ? FULL : AWAY;
  }

  private static void say(HttpServletRequest request, HttpServletResponse response, String words)
      throws IOException {
    response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
    response.setHeader(HttpHeaders.RETRY_AFTER, "5");
    response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    response.setCharacterEncoding("UTF-8");
    boolean json = request.getRequestURI().startsWith("/api/v1/");
    response.setContentType(
        json ? MediaType.APPLICATION_PROBLEM_JSON_VALUE : MediaType.TEXT_HTML_VALUE);
    response
        .getWriter()
        .write(
            json
                ? "{\"type\":\"about:blank\",\"title\":\"Service Unavailable\",\"status\":503,\"detail\":\""
                    + words
                    + "\"}"
                : """
                  <!DOCTYPE html>
                  <html lang="en">
                    <head>
                      <meta charset="utf-8">
                      <meta name="viewport" content="width=device-width, initial-scale=1">
                      <meta name="color-scheme" content="light dark">
                      <meta http-equiv="refresh" content="5">
                      <title>Away for a moment · Velvet Crock</title>
                      <link rel="stylesheet" href="/assets/app.css">
                    </head>
                    <body>
                      <main id="main" class="door">
                        <h1>Away for a moment</h1>
                        <p class="mt-3">%s</p>
                      </main>
                    </body>
                  </html>
                  """
                    .formatted(words));
  }
}
