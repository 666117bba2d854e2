package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.batch.LoggedEntry;

/** What waited on a phone comes in: with its own time, once, and answered in words. */
class WaitedTest extends AppTest {
  private static final JsonMapper JSON = new JsonMapper();

  private String code;

  @BeforeEach
  void aJar() {
    code = charge(20);
  }

  private JsonNode sent(Somebody who, String path, Duration ago, Duration slow, String... fields)
      throws Exception {
    Instant phone = Instant.now().minus(slow);
    return sent(who, path, phone.minus(ago).toString(), phone.toString(), fields);
  }

  private JsonNode sent(Somebody who, String path, String made, String sent, String... fields)
      throws Exception {
    var call =
        post(path)
            .with(authentication(signedIn(who)))
            .with(csrf())
            .header("Made-At", made)
            .header("Sent-At", sent);
    for (int i = 0; i < fields.length; i += 2) {
      call.param(fields[i], fields[i + 1]);
    }
    MockHttpServletResponse answer = mvc.perform(call).andReturn().getResponse();
    assertThat(answer.getContentType()).startsWith("application/json");
    return JSON.readTree(answer.getContentAsString());
  }

  private JsonNode noted(Somebody who, Duration ago, Duration slow, String key, String... more)
      throws Exception {
    String[] fields = {"kind", "note", "text", "a note", "key", key};
    String[] all = Arrays.copyOf(fields, fields.length + more.length);
    System.arraycopy(more, 0, all, fields.length, more.length);
    return sent(who, "/batches/" + code + "/log", ago, slow, all);
  }

  private List<LoggedEntry> notes() {
    return as(keeper, () -> batches.log(batches.find(code))).stream()
        .filter(line -> line.entry().event().kind().equals("note"))
        .toList();
  }

  private Duration age(LoggedEntry line) {
    return Duration.between(line.entry().at(), Instant.now());
  }

  @Test
  void itHappenedWhenItWasMadeHoweverWrongThePhonesClockIs() throws Exception {
    for (Duration slow : List.of(Duration.ZERO, Duration.ofHours(5), Duration.ofHours(-5))) {
      JsonNode answer = noted(keeper, Duration.ofMinutes(90), slow, UUID.randomUUID().toString());
      assertThat(answer.path("outcome").asString()).isEqualTo("DONE");
      assertThat(answer.path("link").asString()).isEqualTo("/batches/" + code);
    }
    assertThat(notes())
        .hasSize(3)
        .allSatisfy(
            n ->
                assertThat(age(n))
                    .isBetween(Duration.ofSeconds(89 * 60), Duration.ofSeconds(91 * 60)));
  }

  @Test
  void whatWasTypedOfTheTimeIsReadFromWhenItWasMade() throws Exception {
    noted(keeper, Duration.ofHours(2), Duration.ZERO, "k", "happened", "an hour ago");

    assertThat(age(notes().get(0))).isBetween(Duration.ofMinutes(179), Duration.ofMinutes(181));
  }

  @Test
  void itIsWrittenOnceAndWhoeverCameSecondIsToldWhoWasFirst() throws Exception {
    Somebody other = new Somebody(keeper.householdId(), "Ivo");
    noted(keeper, Duration.ofMinutes(5), Duration.ZERO, "k");
    JsonNode again = noted(keeper, Duration.ofMinutes(5), Duration.ZERO, "k");
    JsonNode second = noted(other, Duration.ofMinutes(3), Duration.ZERO, "k");

    assertThat(notes()).hasSize(1);
    assertThat(again.path("outcome").asString()).isEqualTo("DONE");
    assertThat(second.path("outcome").asString()).isEqualTo("DONE_BEFORE");
    assertThat(second.path("by").asString()).isEqualTo("Una");
  }

  @Test
  void aRefusalSaysWhatToDoAndNothingIsWritten() throws Exception {
    JsonNode early =
        noted(keeper, Duration.ofDays(400), Duration.ZERO, UUID.randomUUID().toString());
    JsonNode empty =
        sent(
            keeper,
            "/batches/" + code + "/log",
            Duration.ofMinutes(1),
            Duration.ZERO,
            "kind",
            "note",
            "text",
            "");
    JsonNode clock =
        sent(
            keeper,
            "/batches/" + code + "/log",
            Instant.now().toString(),
            Instant.now().minusSeconds(600).toString(),
            "kind",
            "note",
            "text",
            "x");
    JsonNode gone =
        sent(
            keeper,
            "/batches/ZZZ/log",
            Duration.ofMinutes(1),
            Duration.ZERO,
            "kind",
            "note",
            "text",
            "x");

    for (JsonNode answer : List.of(early, empty, clock, gone)) {
      assertThat(answer.path("outcome").asString()).as("%s", answer).isEqualTo("REFUSED");
      assertThat(answer.path("words").asString()).as("%s", answer).isNotBlank();
    }
    assertThat(clock.path("words").asString()).contains("clock was set anew");
    assertThat(notes()).isEmpty();
  }

  @Test
  void anAnswerIsInTheHousesOwnUnits() throws Exception {
    TestCluster.shared().write(keeper.householdId(), "degrees = 'FAHRENHEIT'");
    JsonNode answer =
        sent(
            keeper,
            "/stove/" + code + "/log",
            Duration.ofMinutes(1),
            Duration.ZERO,
            "kind",
            "read",
            "temperature",
            "9000 C",
            "key",
            "u");
    assertThat(answer.path("outcome").asString()).isEqualTo("REFUSED");
    assertThat(answer.path("words").asString()).contains("°F").doesNotContain("°C");
  }

  @Test
  void aTimerRunsFromWhenItWasSet() throws Exception {
    sent(
        keeper,
        "/round/timer",
        Duration.ofMinutes(30),
        Duration.ZERO,
        "minutes",
        "40",
        "reason",
        "the bath",
        "key",
        "t");

    String page =
        mvc.perform(get("/round").with(authentication(signedIn(keeper))))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page).contains("the bath").containsPattern("data-seconds=\"(5[0-9][0-9]|600)\"");
  }

  @Test
  void thePhoneIsToldWhatToKeepAndWhatMayWait() throws Exception {
    JsonNode kept =
        JSON.readTree(
            mvc.perform(get("/kept").with(authentication(signedIn(keeper))))
                .andReturn()
                .getResponse()
                .getContentAsString());

    assertThat(StreamSupport.stream(kept.path("pages").spliterator(), false))
        .extracting(p -> p.path("path").asString())
        .contains("/waiting", "/", "/round", "/batches/" + code, "/stove", "/products", "/cellar");
    assertThat(StreamSupport.stream(kept.path("canWait").spliterator(), false))
        .extracting(JsonNode::asString)
        .contains("/batches/*/log", "/round/visit", "/cellar/*/*/draw", "/batches/*/colour/photo")
        .doesNotContain("/batches/*/strain", "/bench/charge");
    assertThat(kept.path("who").asString()).isNotBlank();
  }
}
