package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.materia.Method;

/** The ways of heat at the bench. */
class HeatBenchTest extends AppTest {
  private ResultActions bench(String herb, String method) throws Exception {
    return mvc.perform(
        get("/bench")
            .with(authentication(signedIn(keeper)))
            .param("herbs[0].herb", herb)
            .param("herbs[0].cut", "CUT")
            .param("herbs[0].state", "DRIED")
            .param("amount", "50 g")
            .param("method", method));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "TWO_STAGE|38–50 °C|20 min to 1 h|One batch, two legs",
        "WARM|38–50 °C|4 h to 12 h|low and slow",
        "CROCK|40–75 °C|8 h to 3 days|read the oil once",
        "SIMMER|70–90 °C|30 min to 2 h|every quarter of an hour",
        "OVEN|80–100 °C|1 h to 3 h|the herb fries"
      })
  void everyWayOfHeatSaysItsBandItsTimeItsSchoolAndWhatItCosts(
      String method, String band, String time, String school) throws Exception {
    bench("rosemary", method)
        .andExpect(content().string(containsString("The oil’s own temperature")))
        .andExpect(content().string(containsString(band)))
        .andExpect(content().string(containsString(time)))
        .andExpect(content().string(containsString(school)))
        .andExpect(content().string(containsString("Shelf life it uses")))
        .andExpect(content().string(containsString("uses")));
  }

  @Test
  void theOtherWaysStandBesideItWithPullAgainstKeeping() throws Exception {
    String page = bench("rosemary", "WARM").andReturn().getResponse().getContentAsString();
    assertThat(page)
        .contains("Warm, then dark")
        .contains("Slow cooker")
        .contains("Simmered")
        .contains("Low oven")
        .containsPattern(
            "Extracted: [a-z ]+, about \\d+ % \\(\\d+–\\d+ %\\)(, cannot be told apart from this)?; uses"
                + " [\\d.]+ days");
  }

  @Test
  void delicateFlowersLowerTheBand() throws Exception {
    bench("meadowsweet", "CROCK")
        .andExpect(content().string(containsString("40–60 °C")))
        .andExpect(content().string(containsString("never above 60 °C")));
  }

  @Test
  void theWindowSaysItsDayAndWhatItsLightCosts() throws Exception {
    String window = as(keeper, () -> places.one("South window").id().toString());
    mvc.perform(
            get("/bench")
                .with(authentication(signedIn(keeper)))
                .param("amount", "50 g")
                .param("place", window))
        .andExpect(content().string(containsString("In the sun")))
        .andExpect(content().string(containsString("by night and by day")))
        .andExpect(content().string(containsString("in the dark at 20 °C: 21 days")));
  }

  @Test
  void whatStandsCoolHasNoHeatToSpeakOf() throws Exception {
    bench("rosemary", "")
        .andExpect(content().string(not(containsString("The oil’s own temperature"))));
  }

  /** Charges fifty grams of rosemary by a way of heat; hands back its page. */
  private String charged(String method) throws Exception {
    return send(
            keeper,
            "/bench/charge",
            "herbs[0].herb",
            "rosemary",
            "herbs[0].cut",
            "CUT",
            "herbs[0].state",
            "DRIED",
            "amount",
            "50 g",
            "method",
            method,
            "chargedOn",
            today().toString(),
            "bestBefore",
            today().plusMonths(10).toString(),
            "clean",
            "yes",
            "key",
            method)
        .andExpect(status().is3xxRedirection())
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  @Test
  void aTwoStageBatchIsChargedAsOne() throws Exception {
    String home = charged("TWO_STAGE");
    String code = home.replaceAll(".*/", "");
    BatchState state = as(keeper, () -> batches.find(code).state());
    assertThat(state.charge().method()).isEqualTo(Method.TWO_STAGE);
    visit(keeper, home)
        .andExpect(content().string(containsString("Put it on the heat")))
        .andExpect(content().string(containsString("/stove/" + code)));
    visit(keeper, home + "/tag").andExpect(status().isOk());
  }

  @Test
  void aWarmBatchsTagSaysHoursAndNotDates() throws Exception {
    String home = charged("WARM");
    visit(keeper, home + "/tag").andExpect(content().string(containsString("4–12 h of heat")));
    visit(keeper, home).andExpect(content().string(containsString("after 4–12 h on the heat")));
  }
}
