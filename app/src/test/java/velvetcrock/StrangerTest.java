package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Walks all routes as a stranger: somebody of another household, and nobody at all. */
class StrangerTest extends AppTest {
  private static final Set<String> DOORS =
      Set.of(
          "/sign-in",
          "/welcome",
          "/join/{secret}",
          "/b/{token}",
          "/calendar/{secret}.ics",
          "/demo",
          "/api",
          "/error");

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  RequestMappingHandlerMapping routes;

  @Test
  void noRouteShowsOrChangesAnythingOfAnotherHousehold() throws Exception {
    String code = charge(9);
    var entry = as(keeper, () -> batches.log(batches.find(code)).get(0).entry().id());
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Stranger");
    as(
        stranger,
        () -> {
          households.furnish();
          return null;
        });
    int walked = 0;
    for (var route : routes.getHandlerMethods().keySet()) {
      for (String pattern : route.getPatternValues()) {
        String path =
            pattern
                .replace("{code}", code)
                .replace("{id}", entry.toString())
                .replace("{letter}", "A")
                .replace("{number}", "1")
                .replace("{kind}", "HERB")
                .replace("{thing}", "yarrow")
                .replace("{entry}", entry.toString())
                .replace("{photo}", entry.toString())
                .replace("{herb}", "yarrow")
                .replace("{token}", "no-such-token")
                .replace("{secret}", "no-such-secret");
        for (RequestMethod method : route.getMethodsCondition().getMethods()) {
          var call =
              request(HttpMethod.valueOf(method.name()), path)
                  .with(authentication(signedIn(stranger)))
                  .with(csrf())
                  .param("kind", "shaken")
                  .param("key", "stranger" + walked);
          if (path.startsWith("/api/v1/")) {
            boolean csv =
                route.getConsumesCondition().getConsumableMediaTypes().stream()
                    .anyMatch(m -> m.includes(new MediaType("text", "csv")));
            call.contentType(csv ? "text/csv" : "application/json")
                .content(
                    csv
                        ? "time,celsius\n"
                        : path.endsWith("readings") ? "[]" : "{\"kind\":\"shaken\"}");
          }
          var response = mvc.perform(call).andReturn().getResponse();
          assertThat(response.getStatus()).as("%s %s", method, path).isLessThan(500);
          assertThat(response.getContentAsString())
              .as("%s %s", method, path)
              .doesNotContain(">" + code);
          if (pattern.contains("{code}")) {
            assertThat(response.getStatus()).as("%s %s", method, path).isEqualTo(404);
          }
          walked++;
        }
      }
    }
    assertThat(walked).isGreaterThan(35);
    assertThat(as(keeper, () -> batches.find(code).state().entries())).isEqualTo(1);
  }

  @Test
  void whoeverIsNotSignedInIsSentToTheDoor() throws Exception {
    for (var route : routes.getHandlerMethods().keySet()) {
      for (String pattern : route.getPatternValues()) {
        if (DOORS.contains(pattern)
            || pattern.startsWith("/api/v1/reckon")
            || pattern.startsWith("/api/v1/openapi")
            || pattern.startsWith("/error")) {
          continue;
        }
        String path = pattern.replaceAll("\\{[a-z]+}", "K7M");
        for (RequestMethod method : route.getMethodsCondition().getMethods()) {
          int answer =
              mvc.perform(request(HttpMethod.valueOf(method.name()), path).with(csrf()))
                  .andReturn()
                  .getResponse()
                  .getStatus();
          assertThat(answer)
              .as("%s %s", method, path)
              .isEqualTo(path.startsWith("/api/v1/") ? 401 : 302);
        }
      }
    }
  }

  @Test
  void aFormWithoutItsTokenIsRefused() throws Exception {
    String code = charge(1);
    mvc.perform(
            post("/batches/" + code + "/log")
                .with(authentication(signedIn(keeper)))
                .param("kind", "shaken")
                .param("key", "x"))
        .andExpect(status().isForbidden());
    mvc.perform(
            post("/api/v1/batches/" + code + "/entries")
                .with(authentication(signedIn(keeper)))
                .contentType("application/json")
                .content("{\"kind\":\"shaken\"}"))
        .andExpect(status().isForbidden());
  }

  @Test
  void pagesForbidForeignAndInlineScripts() throws Exception {
    mvc.perform(get("/sign-in"))
        .andExpect(
            header()
                .string(
                    "Content-Security-Policy",
                    org.hamcrest.Matchers.allOf(
                        org.hamcrest.Matchers.containsString("script-src 'self'"),
                        org.hamcrest.Matchers.not(
                            org.hamcrest.Matchers.containsString("unsafe")))));
  }

  @Test
  void failedSignInsAreLimited() throws Exception {
    for (int i = 0; i < 8; i++) {
      mvc.perform(
              post("/sign-in")
                  .with(csrf())
                  .param("login", "nobody-here")
                  .param("password", "wrong-password"))
          .andExpect(redirectedUrl("/sign-in?wrong"));
    }
    mvc.perform(
            post("/sign-in")
                .with(csrf())
                .param("login", "nobody-here")
                .param("password", "wrong-password"))
        .andExpect(redirectedUrl("/sign-in?wait"));
  }
}
