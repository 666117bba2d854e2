package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;

/** A jar that was begun before: blends, several oils, fresh herb, and the heat it has had. */
class TakeOnTest extends AppTest {
  private ResultActions takeOn(String... more) throws Exception {
    String place = as(keeper, () -> places.all().get(0).id().toString());
    String[] known = {
      "jar",
      "jar-1000",
      "place",
      place,
      "chargedOn",
      today().minusDays(45).toString(),
      "about",
      "30",
      "key",
      java.util.UUID.randomUUID().toString()
    };
    return send(
        keeper,
        "/bench/take-on",
        Stream.concat(Stream.of(known), Stream.of(more)).toArray(String[]::new));
  }

  private BatchState state(ResultActions taken) {
    String to = taken.andReturn().getResponse().getRedirectedUrl();
    assertThat(to).startsWith("/batches/");
    return as(keeper, () -> batches.find(to.substring("/batches/".length())).state());
  }

  /**
   * Something green in oil, perhaps comfrey and plantain, fresh, full to the neck, of no known age.
   */
  @Test
  void theForgottenJarStandsWithWhatIsKnownAndWhatIsNot() throws Exception {
    ResultActions taken =
        takeOn(
            "herbs[0].herb",
            "comfrey",
            "herbs[0].state",
            "FRESH",
            "herbs[0].cut",
            "CUT",
            "herbs[1].herb",
            "plantain",
            "herbs[1].state",
            "WILTED",
            "herbs[1].cut",
            "WHOLE",
            "herbFill",
            "0.85");
    BatchState state = state(taken);
    assertThat(state.charge().herbs())
        .extracting(h -> h.state())
        .containsExactly(HerbState.FRESH, HerbState.WILTED);
    assertThat(state.charge().exact()).isFalse();
    assertThat(state.charge().carriers().get(0).dateUnknown()).isTrue();
    assertThat(state.charge().begun().takenOn()).isTrue();
    visit(keeper, taken.andReturn().getResponse().getRedirectedUrl())
        .andExpect(content().string(containsString("assumed: say it")));
  }

  @Test
  void severalOilsWithTheirAmountsAndTheHeatItHasHad() throws Exception {
    BatchState state =
        state(
            takeOn(
                "herbs[0].herb",
                "yarrow",
                "herbs[0].state",
                "DRIED",
                "herbs[0].cut",
                "GROUND",
                "herbs[0].amount",
                "60 g",
                "oils[0].carrier",
                "sunflower",
                "oils[0].amount",
                "400 ml",
                "oils[1].carrier",
                "coconut",
                "oils[1].amount",
                "200 ml",
                "method",
                "WARM",
                "hours",
                "5",
                "felt",
                "HOT",
                "blended",
                "yes"));
    assertThat(state.charge().method()).isEqualTo(Method.WARM);
    assertThat(state.charge().manner().blended()).isTrue();
    assertThat(state.oilMl().middle()).isCloseTo(600, within(0.1));
    assertThat(state.charge().carriers().get(0).share()).isCloseTo(2.0 / 3, within(1e-6));
    assertThat(state.heat().stints()).hasSize(1);
    assertThat(state.heat().hours(java.time.Instant.now())).isCloseTo(5, within(0.01));
    assertThat(state.heat().now()).isEmpty();
  }

  /** Nobody knows what spirit it was: it counts as weak, and what water it brings has to leave. */
  @Test
  void aJarThroughSpiritIsTakenOnWithItsOil() throws Exception {
    String[] jar = {
      "herbs[0].herb", "meadowsweet",
      "herbs[0].state", "DRIED",
      "herbs[0].cut", "POWDER",
      "herbs[0].amount", "60 g",
      "oils[0].carrier", "hazelnut",
      "oils[0].amount", "400 ml",
      "method", "SPIRIT"
    };
    BatchState state = state(takeOn(jar));
    assertThat(state.charge().method()).isEqualTo(Method.SPIRIT);
    assertThat(state.charge().manner().spirit().abvPercent()).isEqualTo(40);
    assertThat(state.charge().manner().spirit().massG()).isCloseTo(30, within(0.1));
    assertThat(state.status()).isEqualTo(BatchState.Status.INFUSING);
    assertThat(state.oilMl().middle()).isCloseTo(400, within(0.1));

    String[] told = java.util.Arrays.copyOf(jar, jar.length + 2);
    told[jar.length] = "abv";
    told[jar.length + 1] = "96";
    assertThat(state(takeOn(told)).charge().manner().spirit().abvPercent()).isEqualTo(96);
    told[jar.length + 1] = "strong";
    takeOn(told).andExpect(status().isUnprocessableContent());
  }

  @Test
  void halfAnAnswerIsAskedAboutAndNothingTypedIsLost() throws Exception {
    String page =
        takeOn(
                "herbs[0].herb",
                "yarrow",
                "herbs[0].state",
                "DRIED",
                "herbs[0].cut",
                "CUT",
                "herbs[0].amount",
                "40 g",
                "herbs[1].herb",
                "elderflower",
                "herbs[1].state",
                "DRIED",
                "herbs[1].cut",
                "CUT",
                "method",
                "WARM",
                "hours",
                "all night",
                "felt",
                "HOT")
            .andExpect(status().isUnprocessableContent())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page)
        .contains("Say how much of each, or of none")
        .contains("value=\"40 g\"")
        .contains("value=\"all night\"");
  }

  @Test
  void anotherHerbAndAnotherOilAreALineMoreWithAllThatWasTyped() throws Exception {
    visit(
            keeper,
            "/bench/take-on?herbs[0].herb=heather&herbs[0].amount=30g&more=herbs&chargedOn="
                + today().minusDays(9))
        .andExpect(content().string(containsString("herbs[1].herb")))
        .andExpect(content().string(containsString("value=\"30g\"")))
        .andExpect(content().string(containsString(today().minusDays(9).toString())));
    visit(keeper, "/bench/take-on?more=oils")
        .andExpect(content().string(containsString("oils[1].carrier")));
  }
}
