package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The page of a load that dries says how dry it is and what to do, from hanging up to the jar. */
class DryingPageTest extends DryingHouse {
  private String load;

  @BeforeEach
  void hangABunchUp() throws Exception {
    load = hangUp("80");
  }

  private void log(String... fields) throws Exception {
    List<String> all = new ArrayList<>(List.of(fields));
    all.addAll(List.of("key", UUID.randomUUID().toString()));
    send(keeper, load + "/log", all.toArray(String[]::new)).andExpect(status().is3xxRedirection());
  }

  private void weighed(String amount, int daysAgo) throws Exception {
    log("what", "weighed", "amount", amount, "happened", today().minusDays(daysAgo) + "T12:00");
  }

  private String page() throws Exception {
    return visit(keeper, load)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ")
        .replace('\u00a0', ' ');
  }

  @Test
  void beforeItIsWeighedTheUsualCurveIsShown() throws Exception {
    assertThat(page())
        .contains("Achillea millefolium")
        .contains("Begun with 200 g")
        .contains("Not weighed yet: the curve is the usual one")
        .contains("Should be dry");
  }

  @Test
  void oneWeighingMakesTheCurveItsOwn() throws Exception {
    weighed("120 g", 15);

    assertThat(page())
        .contains("By its own weighings. It is dry when leaves crumble")
        .contains("Weighed 120 g")
        .contains("67 %, was 80 %");
  }

  @Test
  void dryByTheScaleAsksForABend() throws Exception {
    weighed("120 g", 15);
    weighed("44 g", 1);

    assertThat(page()).contains("By the scale it is dry. Bend a stem: does it snap?");
  }

  @ParameterizedTest
  @CsvSource({
    "LEATHERY, Leathery is not dry, Leathery: not dry",
    "SOFT, Not weighed yet, Still soft",
    "CRUMBLES, it is dry. Weigh it and put it away, Crumbles and snaps"
  })
  void aBentStemSaysMoreThanTheScale(String snap, String advice, String logged) throws Exception {
    log("what", "snapped", "snap", snap);

    assertThat(page()).contains(advice).contains(logged);
  }

  @Test
  void crispAtAnotherWeightTeachesHowMuchWaterItHeldFresh() throws Exception {
    weighed("60 g", 1);
    log("what", "snapped", "snap", "CRUMBLES");
    assertThat(page())
        .contains("If it is crisp at 60 g, it held 73 % water fresh, not 80 %")
        .doesNotContain("Should be dry");

    log("what", "water-known", "water", "73");
    assertThat(page()).contains("Held 73 % water fresh").doesNotContain("If it is crisp");
  }

  @Test
  void whatIsThrownOutSaysSoAndIsLeftAlone() throws Exception {
    log("what", "thrown-out");

    assertThat(page()).contains("Thrown out.").doesNotContain("Log the weight");
    send(keeper, load + "/log", "what", "weighed", "amount", "50 g", "key", "late")
        .andExpect(status().isUnprocessableContent());
  }
}
