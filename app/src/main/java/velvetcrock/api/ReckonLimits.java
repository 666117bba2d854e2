package velvetcrock.api;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Duration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps the open reckonings small and fair: 64 KiB a request (1 MiB for those with a trace), and
 * 100 a second with bursts of 1000 for one address.
 */
@Component
class ReckonLimits extends OncePerRequestFilter {
  private static final int MOST_BYTES = 64 * 1024;
  private static final int MOST_BYTES_TRACE = 1024 * 1024;
  private static final int BURST = 1000;
  private static final int PER_SECOND = 100;
  private static final int REMEMBERED = 50_000;

  private final Cache<String, Bucket> buckets =
      Caffeine.newBuilder()
          .maximumSize(REMEMBERED)
          .expireAfterAccess(Duration.ofMinutes(5))
          .build();

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !request.getRequestURI().startsWith("/api/v1/reckon/");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Bucket bucket = buckets.get(request.getRemoteAddr(), address -> bucket());
    if (!bucket.tryConsume(1)) {
      problem(
          response, HttpStatus.TOO_MANY_REQUESTS, "Too many reckonings at once. Wait a second.");
      return;
    }
    boolean trace = request.getRequestURI().matches(".*/(keeping|heat|extraction)");
    int most = trace ? MOST_BYTES_TRACE : MOST_BYTES;
    byte[] body = request.getInputStream().readNBytes(most + 1);
    if (body.length > most) {
      problem(response, HttpStatus.CONTENT_TOO_LARGE, "At most " + most / 1024 + " KiB here.");
      return;
    }
    chain.doFilter(new Held(request, body), response);
  }

  private static Bucket bucket() {
    return Bucket.builder()
        .addLimit(limit -> limit.capacity(BURST).refillGreedy(PER_SECOND, Duration.ofSeconds(1)))
        .build();
  }

  private static void problem(HttpServletResponse response, HttpStatus status, String detail)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response
        .getWriter()
        .write(
            "{\"type\":\"about:blank\",\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}"
                .formatted(status.getReasonPhrase(), status.value(), detail));
  }

  /** A request whose body has been read already. */
  private static final class Held extends HttpServletRequestWrapper {
    private final ByteArrayInputStream body;

    Held(HttpServletRequest request, byte[] body) {
      super(request);
      this.body = new ByteArrayInputStream(body);
    }

    @Override
    public ServletInputStream getInputStream() {
      return new ServletInputStream() {
        @Override
        public int read() {
          return body.read();
        }

        @Override
        public int read(byte[] into, int from, int length) {
          return body.read(into, from, length);
        }

        @Override
        public boolean isFinished() {
          return body.available() == 0;
        }

        @Override
        public boolean isReady() {
          return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
          throw new IllegalStateException("The body has been read already.");
        }
      };
    }
  }
}
