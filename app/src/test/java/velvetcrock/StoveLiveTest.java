package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.KnobTurned;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.kitchen.Appliances;

/** Who is told what as it happens, and what the kitchen learns of its appliances. */
class StoveLiveTest extends AppTest {
  @Autowired BatchReadings readings;
  @Autowired Appliances appliances;

  /** A page that listens; what it has been told so far. */
  private MockHttpServletResponse listen(Somebody who) throws Exception {
    return mvc.perform(get("/stove/live").with(authentication(signedIn(who))))
        .andReturn()
        .getResponse();
  }

  private static String told(MockHttpServletResponse page) {
    return new String(page.getContentAsByteArray(), StandardCharsets.UTF_8);
  }

  private void read(String code, double celsius) {
    as(
        keeper,
        () -> readings.add(batches.find(code), List.of(new Reading(Instant.now(), celsius))));
  }

  @Test
  void everyListeningPageOfTheHouseholdIsToldAndNobodyElses() throws Exception {
    String code = charge(0);
    onTheHeat(code);
    Somebody neighbour =
        new Somebody(
            households.found("Next door", "Europe/Oslo", "METRIC", true).id(), "Neighbour");
    MockHttpServletResponse one = listen(keeper);
    MockHttpServletResponse other = listen(keeper);
    MockHttpServletResponse nextDoor = listen(neighbour);

    read(code, 43.7);

    await()
        .atMost(Duration.ofSeconds(10))
        .until(() -> told(one).contains("43.7") && told(other).contains("43.7"));
    assertThat(told(one)).contains("event:pots").contains("\"code\":\"" + code + "\"");
    assertThat(told(nextDoor)).doesNotContain(code);
  }

  @Test
  void whatIsDoneAtThePotIsToldToo() throws Exception {
    String code = charge(0);
    onTheHeat(code);
    MockHttpServletResponse page = listen(keeper);
    as(
        keeper,
        () ->
            acts.append(
                code,
                new KnobTurned(new Knob("2", 62.0, 0.5)),
                null,
                null,
                UUID.randomUUID().toString()));
    await().atMost(Duration.ofSeconds(10)).until(() -> told(page).contains("Plate on 2"));
  }

  @Test
  void aPageThatCannotListenAsksForTheSame() throws Exception {
    String code = charge(0);
    onTheHeat(code);
    read(code, 41.2);
    String asked = visit(keeper, "/stove/now").andReturn().getResponse().getContentAsString();
    assertThat(asked).contains("\"temperature\":\"41.2\"").contains(code);
  }

  @Test
  void aColdJarIsNotOnTheStoveUntilItIsPutThere() throws Exception {
    String code = charge(2);
    assertThat(visit(keeper, "/stove").andReturn().getResponse().getContentAsString())
        .doesNotContain(code)
        .contains("Nothing is on the heat");
    onTheHeat(code);
    assertThat(visit(keeper, "/stove").andReturn().getResponse().getContentAsString())
        .contains(code);
  }

  @Test
  void anApplianceIsAddedOnceAndChosenByKindOrName() throws Exception {
    send(keeper, "/kitchen/appliances", "applianceKind", "GAS_RING", "applianceName", "Old ring");
    String again =
        send(keeper, "/kitchen/appliances", "applianceKind", "OVEN", "applianceName", "old RING")
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(again).contains("There is one of that name already.");
    Appliances.Owned byKind = as(keeper, () -> appliances.choose("GAS_RING"));
    assertThat(byKind.name()).isEqualTo("Old ring");
    assertThat(as(keeper, () -> appliances.choose(byKind.id().toString())).kind())
        .isEqualTo(Appliance.GAS_RING);
    Appliances.Owned fresh = as(keeper, () -> appliances.choose("DEHYDRATOR"));
    assertThat(fresh.name()).isEqualTo("Dehydrator");
    assertThat(as(keeper, appliances::all)).hasSize(2);
  }

  @Test
  void aStandInProbeFollowsTheKnobOfItsLog() throws Exception {
    String code = charge(0);
    onTheHeat(code);
    send(keeper, "/stove/" + code + "/stand-in", "on", "true");
    await()
        .atMost(Duration.ofSeconds(15))
        .until(() -> as(keeper, () -> readings.of(batches.find(code).id())).size() >= 3);
    assertThat(visit(keeper, "/stove/" + code).andReturn().getResponse().getContentAsString())
        .contains("Take the stand-in probe out");
    send(keeper, "/stove/" + code + "/stand-in", "on", "false");
    var series = as(keeper, () -> readings.of(batches.find(code).id()));
    assertThat(series.celsius(series.size() - 1)).isBetween(18.0, 24.0);
  }

  @Test
  void theShelfCountsHoursOnTheHeat() throws Exception {
    String code = charge(0);
    onTheHeat(code);
    assertThat(visit(keeper, "/").andReturn().getResponse().getContentAsString())
        .contains("on the heat");
  }
}
