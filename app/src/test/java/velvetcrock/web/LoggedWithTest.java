package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.slf4j.MDC;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** What stands on each line of the log file of a request. */
class LoggedWithTest {
  private final CurrentHousehold current = new CurrentHousehold();
  private final LoggedWith filter = new LoggedWith(current);

  private record Una(UUID householdId, String displayName) implements InHousehold {}

  private Map<String, String> told(String given, UUID household) {
    MockHttpServletRequest request = new MockHttpServletRequest("GET", "/round");
    request.addHeader("X-Request-Id", given);
    MockHttpServletResponse response = new MockHttpServletResponse();
    Map<String, String> told = new HashMap<>();
    current.actingAs(
        new Una(household, "Una"),
        () -> {
          try {
            filter.doFilter(request, response, (q, a) -> told.putAll(MDC.getCopyOfContextMap()));
          } catch (java.io.IOException | jakarta.servlet.ServletException e) {
            throw new IllegalStateException(e);
          }
          return null;
        });
    assertThat(response.getHeader("X-Request-Id")).isEqualTo(told.get("in_request"));
    assertThat(MDC.get("in_request")).isNull();
    assertThat(MDC.get("of_household")).isNull();
    return told;
  }

  @Test
  void aRequestHasItsNameAndAHouseholdItsPseudonym() {
    UUID household = UUID.randomUUID();

    Map<String, String> told = told("from-the-proxy.7", household);

    assertThat(told).containsEntry("in_request", "from-the-proxy.7");
    assertThat(told.get("of_household"))
        .isEqualTo(Pseudonym.of(household))
        .doesNotContain(household.toString().substring(0, 8));
    assertThat(told("again", household).get("of_household")).isEqualTo(told.get("of_household"));
  }

  @Test
  void aNameThatCouldForgeALineIsNotTaken() {
    assertThat(told("one\nforged", UUID.randomUUID()).get("in_request")).matches("[0-9a-f-]{36}");
  }
}
