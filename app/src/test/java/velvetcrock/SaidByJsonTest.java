package velvetcrock;

import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;

/** Amounts as they are said, and oil by amounts, by JSON. */
class SaidByJsonTest extends AppTest {
  private ResultActions reckon(String what, String body) throws Exception {
    return mvc.perform(
        post("/api/v1/reckon/" + what)
            .with(
                request -> {
                  request.setRemoteAddr("10." + Math.floorMod(System.nanoTime(), 250) + ".0.7");
                  return request;
                })
            .contentType("application/json")
            .content(body.replace('\'', '"')));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "about a cup        | 236.588 | 212.929 | 260.247",
        "2 to 3 cups        | 591.470 | 473.176 | 709.764",
        "almost a cup       | 224.759 | 212.929 | 236.588",
        "a generous cup     | 266.162 | 236.588 | 295.735",
        "three quarters of a cup | 177.441 | 177.441 | 177.441",
        "1 cup (240 ml)     | 236.588 | 236.588 | 236.588",
      })
  void theMiddleAndTheSpan(String said, double middle, double low, double high) throws Exception {
    reckon("measure", "{'text':'" + said + "'}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.volumeMl").value(closeTo(middle, 0.01)))
        .andExpect(jsonPath("$.volumeLowMl").value(closeTo(low, 0.01)))
        .andExpect(jsonPath("$.volumeHighMl").value(closeTo(high, 0.01)));
  }

  @Test
  void aHeapOfALooseThingIsHigherThanOfALiquid() throws Exception {
    reckon("measure", "{'text':'a heaped tablespoon','of':{'powder':'starch'}}")
        .andExpect(jsonPath("$.massG").value(closeTo(14.7868 * 1.425 * 0.5, 0.05)));
    reckon("measure", "{'text':'1 cup packed','of':{'herb':'yarrow'}}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.volumeMl").value(closeTo(236.588, 0.01)));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2 cusp | Is “2 cups” meant",
        "1 cup (300 ml) | two amounts that are not the same",
        "2 parts | amount only of a whole",
        "60 g please | is understood",
      })
  void whatCannotBeReadIsSaid(String said, String told) throws Exception {
    reckon("measure", "{'text':'" + said + "'}")
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.errors[0].field").value("text"))
        .andExpect(jsonPath("$.errors[0].message").value(containsString(told)));
  }

  @Test
  void aWeightWithItsVolumeInBracketsIsChecked() throws Exception {
    reckon("measure", "{'text':'219 g (240 ml)','of':{'carrier':'olive'}}")
        .andExpect(jsonPath("$.massG").value(219));
    reckon("measure", "{'text':'219 g (1 l)','of':{'carrier':'olive'}}")
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.errors[0].message").value(containsString("cannot both be true")));
  }

  private static final String HERB = "'herbs':[{'herb':'yarrow','cut':'cut','massG':20}]";

  @Test
  void oilByAmountsGivesTheRatio() throws Exception {
    reckon(
            "charge",
            "{" + HERB + ",'carriers':[{'carrier':'olive','ml':200},{'carrier':'jojoba','ml':50}]}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.oilMl").value(closeTo(250, 1e-6)))
        .andExpect(jsonPath("$.oilPerHerb").value(closeTo(12.5, 1e-6)));
    reckon("charge", "{" + HERB + ",'carriers':[{'carrier':'olive','massG':183.2}]}")
        .andExpect(jsonPath("$.oilMl").value(closeTo(200, 1)));
    reckon(
            "charge",
            "{" + HERB + ",'carriers':[{'carrier':'olive','share':1}],'ratio':{'oilPerHerb':9}}")
        .andExpect(jsonPath("$.oilPerHerb").value(closeTo(9, 1e-9)));
  }

  @Test
  void sharesAndAmountsDoNotMix() throws Exception {
    reckon(
            "charge",
            "{"
                + HERB
                + ",'carriers':[{'carrier':'olive','ml':200},{'carrier':'jojoba','share':1}]}")
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.errors[0].field").value("carriers[1]"));
    reckon("charge", "{" + HERB + ",'carriers':[{'carrier':'olive','ml':200,'massG':180}]}")
        .andExpect(status().isUnprocessableContent());
    reckon("charge", "{" + HERB + ",'carriers':[{'carrier':'olive','ml':-5}]}")
        .andExpect(status().isUnprocessableContent());
    reckon("charge", "{" + HERB + ",'carriers':[{'carrier':'olive'}]}")
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.errors[0].field").value("ratio"));
  }
}
