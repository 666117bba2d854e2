package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.postgresql.PGConnection;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.jar.BatchReckoning.Reading;

/** Several instances on one database: what one stores, the pages of another show. */
class OtherInstancesTest extends AppTest {
  private static final Duration SOON = Duration.ofSeconds(10);

  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Autowired BatchReadings readings;

  private String onTheHeat() {
    String code = charge(0);
    onTheHeat(code);
    return code;
  }

  private UUID id(String code) {
    return as(keeper, () -> batches.find(code).id());
  }

  private String stove() throws Exception {
    return visit(keeper, "/stove/now").andReturn().getResponse().getContentAsString();
  }

  /** As another instance stores it, which this one does not know of. */
  private void storedElsewhere(String code, Instant at, double celsius) {
    jdbc.update(
        "insert into reading (household_id, batch_id, at, celsius) values (?, ?, ?, ?)",
        house.id(),
        id(code),
        Timestamp.from(at),
        celsius);
  }

  /** Hangs up on whoever listens; says how many did. */
  private int cut() {
    return jdbc.queryForList(
            "select pg_terminate_backend(pid) from pg_stat_activity"
                + " where application_name ~ '^velvetcrock [0-9a-f-]{36}$'")
        .size();
  }

  @Test
  void whatIsStoredHereIsToldWithItsReadings() throws Exception {
    String code = onTheHeat();
    try (Connection other = jdbc.getDataSource().getConnection()) {
      other.createStatement().execute("listen velvetcrock_pots");
      as(keeper, () -> readings.add(batches.find(code), List.of(new Reading(Instant.now(), 43.7))));
      var told = other.unwrap(PGConnection.class).getNotifications(5000);
      assertThat(Arrays.stream(told).map(n -> n.getParameter()).toList())
          .anyMatch(news -> news.contains(code) && news.contains("43.7"));
    }
  }

  @Test
  void whatAnotherInstanceStoresIsOnThePagesOfThisOne() throws Exception {
    String code = onTheHeat();
    MockHttpServletResponse page =
        mvc.perform(get("/stove/live").with(authentication(signedIn(keeper))))
            .andReturn()
            .getResponse();
    assertThat(stove()).contains(code).doesNotContain("46.3");

    Instant at = Instant.now();
    storedElsewhere(code, at, 46.3);
    jdbc.queryForList(
        "select pg_notify('velvetcrock_pots', ?)",
        """
        {"by": "%s", "change": {"householdId": "%s", "batchId": "%s", "code": "%s", "what": "READINGS",
          "readings": [{"at": "%s", "celsius": 46.3}]}}
        """
            .formatted(UUID.randomUUID(), house.id(), id(code), code, at));

    await()
        .atMost(SOON)
        .until(
            () ->
                new String(page.getContentAsByteArray(), StandardCharsets.UTF_8).contains("46.3"));
  }

  @Test
  void whoeverWasDeafTrustsNothingThatItHeld() throws Exception {
    String code = onTheHeat();
    assertThat(stove()).contains(code);
    storedElsewhere(code, Instant.now(), 47.9);
    assertThat(stove()).doesNotContain("47.9");

    await().atMost(SOON).until(() -> cut() > 0);

    await().atMost(SOON).until(() -> stove().contains("47.9"));
  }

  @Test
  void whatIsNotUnderstoodHasEverythingReadAnew() throws Exception {
    String code = onTheHeat();
    assertThat(stove()).contains(code);
    storedElsewhere(code, Instant.now(), 48.6);
    jdbc.queryForList("select pg_notify('velvetcrock_pots', 'in a later version’s own way')");

    await().atMost(SOON).until(() -> stove().contains("48.6"));
  }
}
