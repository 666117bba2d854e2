package velvetcrock.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Base64;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.session.MapSession;
import org.springframework.session.MapSessionRepository;
import org.springframework.session.web.http.CookieHttpSessionIdResolver;
import org.springframework.session.web.http.SessionRepositoryFilter;

/** A session is read once for each request, and its cookie is told where it is new. */
class AskedOnceTest {
  private final MapSessionRepository sessions =
      spy(new MapSessionRepository(new ConcurrentHashMap<>()));
  private final SessionRepositoryFilter<MapSession> filter =
      new SessionRepositoryFilter<>(sessions);
  private MapSession kept = new MapSession();

  @BeforeEach
  void signedIn() {
    filter.setHttpSessionIdResolver(new AskedOnce(new CookieHttpSessionIdResolver()));
    kept = sessions.createSession();
    sessions.save(kept);
  }

  /** What a request does with its session. */
  private interface Page {
    void show(HttpServletRequest request, HttpServletResponse response) throws IOException;
  }

  private MockHttpServletResponse answer(@Nullable MapSession shown, Page page) throws Exception {
    MockHttpServletRequest request = new MockHttpServletRequest();
    if (shown != null) {
      request.setCookies(
          new Cookie("SESSION", Base64.getEncoder().encodeToString(shown.getId().getBytes())));
    }
    MockHttpServletResponse response = new MockHttpServletResponse();
    filter.doFilter(
        request,
        response,
        new MockFilterChain(
            new HttpServlet() {
              private static final long serialVersionUID = 1;

              @Override
              protected void service(HttpServletRequest asked, HttpServletResponse answer)
                  throws IOException {
                page.show(asked, answer);
              }
            }));
    return response;
  }

  @Test
  void itIsReadOnceThoughThePageIsSentBeforeItIsOver() throws Exception {
    MockHttpServletResponse answer =
        answer(
            kept,
            (request, response) -> {
              assertThat(request.getSession(false)).isNotNull();
              response.getWriter().write("a page");
              response.flushBuffer();
            });

    verify(sessions, times(1)).findById(any());
    assertThat(answer.getCookie("SESSION")).isNull();
  }

  @Test
  void aNewOneIsToldAndOneThatChangesItsNameToo() throws Exception {
    assertThat(answer(null, (request, response) -> request.getSession()).getCookie("SESSION"))
        .isNotNull();
    assertThat(
            answer(
                    kept,
                    (request, response) -> {
                      request.getSession();
                      request.changeSessionId();
                    })
                .getCookie("SESSION"))
        .isNotNull();
  }

  @Test
  void oneThatIsEndedIsTakenBackFromTheBrowser() throws Exception {
    MockHttpServletResponse answer =
        answer(kept, (request, response) -> request.getSession().invalidate());

    assertThat(answer.getCookie("SESSION")).satisfies(c -> assertThat(c.getMaxAge()).isZero());
    assertThat(sessions.findById(kept.getId())).isNull();
  }

  @Test
  void whoEndsOneAndBeginsAnotherIsToldTheOther() throws Exception {
    MockHttpServletResponse answer =
        answer(
            kept,
            (request, response) -> {
              request.getSession().invalidate();
              request.getSession();
            });

    assertThat(answer.getCookie("SESSION")).satisfies(c -> assertThat(c.getMaxAge()).isNegative());
  }
}
