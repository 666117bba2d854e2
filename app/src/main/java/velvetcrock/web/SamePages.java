package velvetcrock.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.springframework.web.util.ContentCachingResponseWrapper;
import org.springframework.web.util.WebUtils;

/**
 * Answers pages that are {@link SameUntilChanged the same until something changes} as they were
 * made before. Each is held for whom it was made, for the minute and the count of what the
 * household has written, so that what is lost or late between instances shows nobody an old page. A
 * page with something to say once is not held.
 */
@Configuration(proxyBeanMethods = false)
public class SamePages implements WebMvcConfigurer, HandlerInterceptor {
  private static final Duration LONGEST = Duration.ofMinutes(2);
  private static final int MOST_BYTES = 24_000_000;
  private static final String COUNTS_SECONDS = " data-seconds=\"";
  private static final String ASKED = SamePages.class.getName();

  /** Under this name a page says that this time it tells more than the store holds. */
  public static final String NOT_THIS_TIME = "notTheSame";

  /** The cookie of the token against forgery. */
  public static final String TOKEN_COOKIE = "crock-form";

  private static final MediaType HTML = new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8);

  private final HouseholdChanges changes;
  private final CurrentHousehold current;
  private final ObjectProvider<SeenBy> seenBy;
  private final ObjectProvider<BesideTheStore> beside;
  private final Clock clock;
  private final Cache<Asked, SamePage> pages =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((Asked asked, SamePage page) -> page.size())
          .expireAfterWrite(LONGEST)
          .build();

  SamePages(
      HouseholdChanges changes,
      CurrentHousehold current,
      ObjectProvider<SeenBy> seenBy,
      ObjectProvider<BesideTheStore> beside,
      Clock clock) {
    this.changes = changes;
    this.current = current;
    this.seenBy = seenBy;
    this.beside = beside;
    this.clock = clock;
  }

  /** What a page depends on. */
  private record Asked(
      UUID household,
      String seenBy,
      String url,
      long changes,
      List<String> beside,
      Instant minute,
      boolean held) {}

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
      throws IOException {
    Optional<Asked> asked = asked(request, handler);
    if (asked.isEmpty()) {
      return true;
    }
    SamePage page = pages.getIfPresent(asked.get());
    if (page == null) {
      request.setAttribute(ASKED, asked.get());
      return true;
    }
    if (!stands(page, asked.get(), request, response)) {
      response.setContentType(HTML.toString());
      response.getOutputStream().write(page.with(token(request)));
    }
    return false;
  }

  /**
   * A page that a browser may hold says so to its script; one that is not the same is forgotten.
   */
  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView shown) {
    if (shown == null) {
      return;
    }
    if (shown.getModel().containsKey(NOT_THIS_TIME)) {
      request.removeAttribute(ASKED);
    } else if (request.getAttribute(ASKED) instanceof Asked asked && asked.held()) {
      shown.addObject("held", true);
    }
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable Exception thrown) {
    ContentCachingResponseWrapper sent =
        WebUtils.getNativeResponse(response, ContentCachingResponseWrapper.class);
    if (thrown == null
        && sent != null
        && request.getAttribute(ASKED) instanceof Asked asked
        && response.getStatus() == HttpStatus.OK.value()
        && HTML.isCompatibleWith(MediaType.parseMediaType(sent.getContentType()))) {
      String html = new String(sent.getContentAsByteArray(), SamePage.AS_BYTES);
      if (html.contains(COUNTS_SECONDS)) {
        return;
      }
      SamePage page =
          new SamePage(html, token(request), FreshKeys.given(new ServletWebRequest(request)));
      pages.put(asked, page);
      if (stands(page, asked, request, response)) {
        sent.resetBuffer();
      }
    }
  }

  private Optional<Asked> asked(HttpServletRequest request, Object handler) {
    if (!(handler instanceof HandlerMethod method)
        || !HttpMethod.GET.matches(request.getMethod())
        || request.getHeader("HX-Request") != null
        || RequestContextUtils.getInputFlashMap(request) != null) {
      return Optional.empty();
    }
    SameUntilChanged same = method.getMethodAnnotation(SameUntilChanged.class);
    String by = same == null || current.who().isEmpty() ? null : seenBy.getObject().of(request);
    if (same == null || by == null) {
      return Optional.empty();
    }
    String query = request.getQueryString();
    return Optional.of(
        new Asked(
            current.id(),
            by,
            request.getRequestURL() + (query == null ? "" : "?" + query),
            changes.seen(),
            beside.stream().map(BesideTheStore::mark).toList(),
            clock.instant().truncatedTo(ChronoUnit.MINUTES),
            same.held()));
  }

  /** Says whether the browser holds the page already, and what it may hold. */
  private static boolean stands(
      SamePage page, Asked asked, HttpServletRequest request, HttpServletResponse response) {
    if (!asked.held()) {
      return false;
    }
    String tag =
        page.tag(asked.household() + asked.seenBy(), "" + asked.changes(), tokenCookie(request));
    response.setHeader(HttpHeaders.ETAG, tag);
    response.setHeader(HttpHeaders.CACHE_CONTROL, "private, no-cache");
    if (!tag.equals(request.getHeader(HttpHeaders.IF_NONE_MATCH))) {
      return false;
    }
    response.setStatus(HttpStatus.NOT_MODIFIED.value());
    return true;
  }

  private static String token(HttpServletRequest request) {
    return request.getAttribute(CsrfToken.class.getName()) instanceof CsrfToken token
        ? token.getToken()
        : "";
  }

  private static String tokenCookie(HttpServletRequest request) {
    Cookie[] cookies = request.getCookies();
    return cookies == null
        ? ""
        : Arrays.stream(cookies)
            .filter(cookie -> cookie.getName().equals(TOKEN_COOKIE))
            .map(Cookie::getValue)
            .findFirst()
            .orElse("");
  }
}
