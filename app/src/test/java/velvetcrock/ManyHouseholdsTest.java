package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.test.context.TestPropertySource;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.Refused;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.kitchen.Quotas;

/**
 * A house kept for many households: by invitation, with limits, and watched without being seen
 * into.
 */
@TestPropertySource(
    properties = {
      "velvetcrock.registration=invitation",
      "velvetcrock.quota.photos-mb=1",
      "velvetcrock.quota.readings-a-day=100",
      "velvetcrock.quota.exports-a-day=2",
      "management.server.port=0",
      "management.endpoints.web.exposure.include=health,prometheus,households,invitation"
    })
class ManyHouseholdsTest extends AppTest {
  private static final Pattern LINK = Pattern.compile("\"path\":\"([^\"]+)\"");

  private final HttpClient http = HttpClient.newHttpClient();

  @Autowired BatchReadings readings;
  @Autowired Quotas quotas;

  @Value("${local.management.port}")
  int management;

  private HttpResponse<String> operator(String method, String path) throws Exception {
    return http.send(
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + management + "/actuator" + path))
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.noBody())
            .build(),
        BodyHandlers.ofString());
  }

  private String link() throws Exception {
    Matcher made = LINK.matcher(operator("POST", "/invitation").body());
    assertThat(made.find()).isTrue();
    return made.group(1);
  }

  private HttpResponse<String> found(Caller who, String link, String login) throws Exception {
    who.get(link);
    return who.send(
        "/welcome",
        "household",
        "The " + login + "s",
        "zone",
        "Europe/Oslo",
        "kitchen",
        "METRIC",
        "with",
        link.replaceFirst(".*=", ""),
        "name",
        "Somebody",
        "login",
        login,
        "password",
        "a long enough password");
  }

  @Test
  void aHouseholdIsFoundedByALinkAndEachLinkOnce() throws Exception {
    assertThat(new Caller(port, "a stranger").get("/welcome").headers().firstValue("Location"))
        .hasValueSatisfying(to -> assertThat(to).endsWith("/sign-in"));
    assertThat(new Caller(port, "a stranger").get("/welcome?with=guessed").statusCode())
        .isEqualTo(404);
    String link = link();

    HttpResponse<String> refused = found(new Caller(port, "a guest"), link, "x");
    HttpResponse<String> founded = found(new Caller(port, "a guest"), link, "gosling");

    assertThat(refused.statusCode()).as("a mistake uses nothing up").isEqualTo(422);
    assertThat(founded.statusCode()).isEqualTo(302);
    HttpResponse<String> again = new Caller(port, "another").get(link);
    assertThat(again.statusCode()).isEqualTo(404);
    assertThat(again.body()).contains("Ask whoever keeps this house");
    assertThat(found(new Caller(port, "a neighbour"), link(), "wren").statusCode()).isEqualTo(302);
  }

  @Test
  void whoeverKeepsTheHouseSeesHowMuchThereIsAndNoWordOfIt() throws Exception {
    Caller guest = new Caller(port, "a guest");
    found(guest, link(), "thrush");
    String told = operator("GET", "/households").body();

    assertThat(told).contains("\"people\":1", "\"entries\":", "\"photoBytes\":0");
    assertThat(told).doesNotContain("thrush", "The ", "Somebody", house.id().toString());
    assertThat(operator("GET", "/prometheus").body())
        .contains("http_server_requests_seconds", "hikaricp_connections", "jvm_memory_used_bytes")
        .doesNotContain("thrush");
  }

  @Test
  void nothingOfThatIsOnThePagesOwnPort() throws Exception {
    Caller stranger = new Caller(port, "a stranger");
    for (String path : List.of("/actuator/prometheus", "/actuator/households")) {
      assertThat(stranger.get(path).statusCode()).as(path).isIn(302, 403);
      visit(keeper, path).andExpect(status().isForbidden());
    }
    assertThat(operator("GET", "/health/readiness").statusCode()).isEqualTo(200);
    HttpRequest ready =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/ready")).build();
    HttpResponse<String> told = http.send(ready, BodyHandlers.ofString());
    assertThat(told.statusCode()).as("what a balancer asks").isEqualTo(200);
    assertThat(told.body()).as("and no more").doesNotContain("components");
  }

  @Test
  void aHouseholdHasItsShareAndNoMore() {
    found("Not the demo", false);
    String code = charge(0);
    List<Reading> many = new ArrayList<>();
    for (int i = 0; i < 101; i++) {
      many.add(new Reading(Instant.now().minusSeconds(i), 40));
    }

    assertThat(refusal(() -> readings.add(batches.find(code), many))).contains("100 readings");
    assertThat(as(keeper, () -> readings.add(batches.find(code), many.subList(0, 100))))
        .as("what was refused does not count")
        .isEqualTo(100);
    assertThat(refusal(() -> readings.add(batches.find(code), many))).contains("tomorrow");

    quota(() -> quotas.photo(new byte[900_000]));
    assertThat(refusal(() -> quota(() -> quotas.photo(new byte[1_100_000])))).contains("1 MB");
    quota(quotas::export);
    quota(quotas::export);
    assertThat(refusal(() -> quota(quotas::export))).contains("2 times a day");
  }

  private int quota(Runnable asked) {
    return as(
        keeper,
        () -> {
          asked.run();
          return 0;
        });
  }

  private String refusal(Supplier<Integer> work) {
    try {
      as(keeper, work);
      return "taken";
    } catch (Refused refused) {
      return String.valueOf(refused.getMessage());
    }
  }
}
