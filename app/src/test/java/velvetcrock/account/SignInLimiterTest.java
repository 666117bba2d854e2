package velvetcrock.account;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** The address is looked at first, and nothing is remembered that nobody can be called. */
class SignInLimiterTest {
  private final SignInLimiter limiter = new SignInLimiter();
  private final SignInGate gate = new SignInGate(limiter);

  private String answer(String login, String password, String address) throws Exception {
    MockHttpServletRequest request = new MockHttpServletRequest("POST", "/sign-in");
    request.setRemoteAddr(address);
    request.setParameter("login", login);
    request.setParameter("password", password);
    MockHttpServletResponse response = new MockHttpServletResponse();
    MockFilterChain chain = new MockFilterChain();
    gate.doFilter(request, response, chain);
    return chain.getRequest() == null ? String.valueOf(response.getRedirectedUrl()) : "on";
  }

  @Test
  void aNameOfAQuarterMegabyteIsWrongAndForgotten() throws Exception {
    for (int i = 0; i < 20; i++) {
      String login = i + "x".repeat(240_000);
      assertThat(answer(login, "a long enough password", "10.0.0.1")).isEqualTo("/sign-in?wrong");
    }
    assertThat(limiter.remembered()).isEqualTo(1);
    assertThat(answer("ailsa", "x".repeat(5000), "10.0.0.1")).isEqualTo("/sign-in?wrong");
    assertThat(answer("ailsa", "a long enough password", "10.0.0.1")).isEqualTo("on");
  }

  @Test
  void anAddressThatFailedTooOftenWaitsWhateverNameItGives() throws Exception {
    for (int i = 0; i < 30; i++) {
      limiter.failed("name" + i, "10.0.0.2");
    }
    assertThat(answer("ailsa", "a long enough password", "10.0.0.2")).isEqualTo("/sign-in?wait");
    assertThat(answer("ailsa", "a long enough password", "10.0.0.3")).isEqualTo("on");
    for (int i = 0; i < 8; i++) {
      limiter.failed("ailsa", "10.0.1." + i);
    }
    assertThat(answer("AILSA ", "a long enough password", "10.0.0.3")).isEqualTo("/sign-in?wait");
  }
}
