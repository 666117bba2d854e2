package velvetcrock.api;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Says of an address that is going since when (RFC 9745) and until when (RFC 8594), a year at
 * least, and what answers in its place.
 */
@Component
class Going implements WebMvcConfigurer, HandlerInterceptor {
  private static final String FORMER = "/api/v1/pots";
  private static final String NOW = "/api/v1/products";
  private static final LocalDate SAID_ON = LocalDate.of(2026, 11, 30);

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).addPathPatterns(FORMER, FORMER + "/**");
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    var said = SAID_ON.atStartOfDay(ZoneOffset.UTC);
    response.setHeader("Deprecation", "@" + said.toEpochSecond());
    response.setHeader("Sunset", DateTimeFormatter.RFC_1123_DATE_TIME.format(said.plusYears(1)));
    response.setHeader(
        "Link",
        "<"
            + NOW
            + request.getRequestURI().substring(FORMER.length())
            + ">; rel=\"successor-version\"");
    return true;
  }
}
