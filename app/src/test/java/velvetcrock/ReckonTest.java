package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Every reckoning by its JSON face: worked examples, and what happens to nonsense. */
class ReckonTest extends AppTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** A good request for each reckoning. */
  private static final Map<String, String> GOOD =
      Map.ofEntries(
          Map.entry(
              "measure",
              "{'text':'1 cup','of':{'herb':'yarrow','cut':'cut','state':'dried'},'temperatureC':25}"),
          Map.entry(
              "cross-check",
              "{'of':{'wax':'beeswax','form':'pellets'},'weight':'8 oz','volume':'1 cup'}"),
          Map.entry(
              "charge",
              "{'herbs':[{'herb':'yarrow','part':'flower','cut':'cut','state':'dried','massG':60,'waterFraction':0.1}],'carriers':[{'carrier':'olive','share':1}],'ratio':{'kind':'w/v','oilPerHerb':5},'jar':{'brimMl':530,'innerDiameterMm':80},'coverMm':12,'method':'cold'}"),
          Map.entry("moisture", "{'massG':100,'waterFraction':0.85,'targetFraction':0.1}"),
          Map.entry(
              "drying",
              "{'freshMassG':200,'waterFraction':0.85,'targetFraction':0.1,'weighings':[{'hours':24,'massG':115},{'hours':48,'massG':70}]}"),
          Map.entry("spirit", "{'herbMassG':60,'dose':0.5,'abvPercent':40,'oilMassG':274}"),
          Map.entry(
              "heat",
              "{'trace':[{'at':'2026-06-01T08:00:00Z','celsius':30},{'at':'2026-06-01T08:24:00Z','celsius':70},{'at':'2026-06-01T10:30:00+02:00','celsius':50}],'band':{'lowC':38,'highC':50},'ceilingC':60}"),
          Map.entry(
              "extraction",
              "{'trace':[{'hours':0,'celsius':20},{'hours':840,'celsius':20}],'carriers':[{'carrier':'olive','share':1}],'cut':'cut','agitation':'daily','spirit':false}"),
          Map.entry(
              "yield",
              "{'oilMl':600,'herbs':[{'herb':'yarrow','cut':'cut','massG':60}],'expression':'squeeze'}"),
          Map.entry(
              "balance",
              "{'in':[{'what':'olive','massG':274},{'what':'yarrow','massG':60}],'out':[{'what':'oil','massG':190}],'drivenOffG':3}"),
          Map.entry(
              "keeping",
              "{'chargedOn':'2026-06-01','strainedOn':'2026-07-06','carriers':[{'carrier':'olive','share':1,'bestBefore':'2027-06-01','openedOn':'2026-05-01'}],'herbState':'dried','freeWater':false,'use':'skin','trace':[{'hours':0,'celsius':20},{'hours':100,'celsius':25}],'light':'dark','store':{'place':'cool','glass':'amber','fill':'full','antioxidant':'none'}}"),
          Map.entry(
              "formula",
              "{'parts':[{'kind':'oil','key':'olive','massG':100},{'kind':'wax','key':'beeswax','massG':5}],'target':{'kind':'salve'},'usedAtC':20,'with':{'wax':'beeswax'}}"),
          Map.entry(
              "drops",
              "{'drops':[{'oil':'lemon','count':24},{'oil':'bergamot','count':4}],'volumeMl':100,'dropMl':0.05,'use':'body'}"),
          Map.entry(
              "plan",
              "{'want':{'tins':{'count':12,'ml':30,'kind':'salve'}},'by':'2026-12-20','herb':'yarrow','part':'flower','state':'dried','cut':'cut','carriers':[{'carrier':'olive','share':1}],'methods':['cold','warm','two-stage'],'oilPerHerb':12,'use':'skin','today':'2026-11-02'}"));

  private ResultActions reckon(String what, String body) throws Exception {
    return mvc.perform(
        post("/api/v1/reckon/" + what)
            .with(
                request -> {
                  request.setRemoteAddr("10." + Math.floorMod(System.nanoTime(), 250) + ".0.1");
                  return request;
                })
            .contentType("application/json")
            .content(body.replace('\'', '"')));
  }

  static Stream<String> reckonings() {
    return GOOD.keySet().stream().sorted();
  }

  @ParameterizedTest
  @MethodSource("reckonings")
  void everyReckoningAnswersWithItsLinesAndCautions(String what) throws Exception {
    reckon(what, GOOD.get(what))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.reckoning[0].name").isNotEmpty())
        .andExpect(jsonPath("$.reckoning[0].how").isNotEmpty())
        .andExpect(
            jsonPath(
                "$.reckoning[*].standing",
                Matchers.everyItem(
                    Matchers.in(List.of("measured", "standard", "typical", "estimate")))))
        .andExpect(jsonPath("$.cautions").isArray());
  }

  @Test
  void theWorkedExamplesAreAnswered() throws Exception {
    reckon("cross-check", GOOD.get("cross-check"))
        .andExpect(jsonPath("$.agrees").value(false))
        .andExpect(jsonPath("$.explanations[0].code").value("fluid-ounces-for-ounces"));
    reckon("moisture", GOOD.get("moisture"))
        .andExpect(jsonPath("$.targetMassG", Matchers.closeTo(16.667, 0.001)));
    reckon("drying", GOOD.get("drying"))
        .andExpect(jsonPath("$.fractions.length()").value(2))
        .andExpect(jsonPath("$.hoursLeft", Matchers.greaterThan(0.0)));
    reckon("spirit", GOOD.get("spirit"))
        .andExpect(jsonPath("$.ethanolMassG", Matchers.closeTo(9.99, 0.01)))
        .andExpect(jsonPath("$.restHours.usual").value(24.0))
        .andExpect(jsonPath("$.cautions[0].code").value("spirit-fire"));
    reckon("heat", GOOD.get("heat"))
        .andExpect(jsonPath("$.inBandFraction", Matchers.closeTo(0.3 * 0.4 / 0.5, 0.001)))
        .andExpect(jsonPath("$.excursions[0].from").value("2026-06-01T08:18:00Z"));
    reckon("extraction", GOOD.get("extraction"))
        .andExpect(jsonPath("$.pull", Matchers.closeTo(0.90, 0.005)));
    reckon("balance", GOOD.get("balance"))
        .andExpect(jsonPath("$.unaccountedG").value(141.0))
        .andExpect(jsonPath("$.causes[0]", Matchers.containsString("marc")));
    reckon("formula", GOOD.get("formula"))
        .andExpect(jsonPath("$.hardness", Matchers.closeTo(4.762, 0.001)))
        .andExpect(jsonPath("$.addWhat").value("beeswax"))
        .andExpect(jsonPath("$.parts.length()").value(2));
    reckon("drops", GOOD.get("drops"))
        .andExpect(jsonPath("$.ok").value(false))
        .andExpect(jsonPath("$.mostDrops").value(25));
    reckon("plan", GOOD.get("plan"))
        .andExpect(jsonPath("$.ways[*].method", Matchers.contains("cold", "warm", "two-stage")))
        .andExpect(jsonPath("$.ways[0].pull", Matchers.closeTo(0.90, 0.005)));
    reckon("measure", "{'text':'3 sticks','of':{'herb':'cinnamon'}}")
        .andExpect(jsonPath("$.massLowG").value(9.0))
        .andExpect(jsonPath("$.massHighG").value(18.0));
  }

  /**
   * Every leaf of every request is replaced by nonsense of every kind: it is answered or refused by
   * its field, never with a 500, and no answer holds a negative weight or what is no number.
   */
  @ParameterizedTest
  @MethodSource("reckonings")
  void nonsenseIsRefusedByItsField(String what) throws Exception {
    JsonNode good = JSON.readTree(GOOD.get(what).replace('\'', '"'));
    for (Nonsense.Case bad : Nonsense.of(good)) {
      answers(what, bad.body(), bad.which());
    }
    ObjectNode unknown = (ObjectNode) good.deepCopy();
    unknown.put("surprise", 1);
    reckon(what, unknown.toString())
        .andExpect(status().is(422))
        .andExpect(jsonPath("$.errors[0].field").value("surprise"));
    reckon(what, "[]").andExpect(status().is(400));
    reckon(what, "{}").andExpect(status().is(422));
    reckon(what, "null").andExpect(status().is(400));
    reckon(what, "{}{}").andExpect(status().is(400));
    reckon(what, "[".repeat(5000)).andExpect(status().is(400));
  }

  private void answers(String what, String body, String which) throws Exception {
    MockHttpServletResponse answer = reckon(what, body).andReturn().getResponse();
    String text = answer.getContentAsString();
    assertThat(answer.getStatus()).as("%s %s: %s", what, which, text).isIn(200, 400, 422);
    if (answer.getStatus() == 200) {
      assertThat(text).as("%s %s", what, which).doesNotContain("NaN", "Infinity");
      assertThat(text)
          .as("%s %s", what, which)
          .doesNotContainPattern("\"(massG|oilMl|yieldMl|pull|hoursLeft|volumeMl)\":-");
    } else if (answer.getStatus() == 422) {
      assertThat(JSON.readTree(text).path("errors").path(0).path("field").asString())
          .as("%s %s: %s", what, which, text)
          .isNotEmpty();
    }
  }
}
