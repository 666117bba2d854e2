package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.batch.BatchReadings;
import velvetcrock.thermometer.Thermometers;

/** Thermometers are paired, told where they are, and missed when they fall silent. */
class ThermometersTest extends AppTest {
  private static final String PAGE = "/stove/thermometers";

  @Autowired Thermometers thermometers;
  @Autowired BatchReadings readings;

  private String jar;
  private String secret;
  private Instant now;

  @BeforeEach
  void paired() throws Exception {
    jar = charge(3);
    now = Instant.now().truncatedTo(ChronoUnit.SECONDS);
    secret =
        String.valueOf(
            send(keeper, PAGE, "name", "clip-on", "jar", jar)
                .andExpect(status().is3xxRedirection())
                .andReturn()
                .getFlashMap()
                .get("secret"));
  }

  private ResultActions tell(String body) throws Exception {
    return mvc.perform(
        post("/api/v1/thermometer/readings")
            .header("Authorization", "Bearer " + secret)
            .contentType(MediaType.APPLICATION_JSON)
            .content(body));
  }

  private String reading(int secondsAgo, double celsius) {
    return "{\"at\":\"%s\",\"celsius\":%s}".formatted(now.minusSeconds(secondsAgo), celsius);
  }

  private int stored() {
    return as(keeper, () -> readings.of(batches.find(jar).id()).size());
  }

  private Thermometers.Thermometer one() {
    return as(keeper, () -> thermometers.all().get(0));
  }

  private String page() throws Exception {
    return Jsoup.parse(visit(keeper, PAGE).andReturn().getResponse().getContentAsString())
        .select("main")
        .text();
  }

  @Test
  void itSendsWithoutKnowingItsJarAndItsPageTells() throws Exception {
    assertThat(page()).contains("clip-on").contains("It has sent nothing yet");
    tell("{\"battery\":12,\"readings\":[%s,%s,{\"at\":\"x\",\"celsius\":1}]}"
            .formatted(reading(20, 41), reading(10, 42.5)))
        .andExpect(status().isOk());

    assertThat(stored()).isEqualTo(2);
    assertThat(one().last().celsius()).isEqualTo(42.5);
    assertThat(page()).contains("42.5 °C").contains("battery 12 %, change it soon");
  }

  @Test
  void itIsTakenElsewhereAndOutOfAnyJar() throws Exception {
    String other = charge(2);
    String path = PAGE + "/" + one().id();
    send(keeper, path, "jar", other).andExpect(status().is3xxRedirection());
    tell("{\"readings\":[%s]}".formatted(reading(10, 40))).andExpect(status().isOk());
    assertThat(stored()).isZero();
    assertThat(as(keeper, () -> readings.of(batches.find(other).id()).size())).isEqualTo(1);

    send(keeper, path, "jar", "").andExpect(status().is3xxRedirection());
    String refused =
        tell("{\"readings\":[%s]}".formatted(reading(5, 40)))
            .andExpect(status().isUnprocessableContent())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(refused).contains("clip-on is in no jar");
    tell("{\"battery\":80}").andExpect(status().isOk());
    assertThat(one().batteryPercent()).isEqualTo(80);
    tell("{\"battery\":101}").andExpect(status().isUnprocessableContent());
  }

  @Test
  void itIsMissedByItsOwnInterval() throws Exception {
    tell("{\"readings\":[%s,%s,%s]}"
            .formatted(reading(900, 40), reading(600, 40), reading(300, 40)))
        .andExpect(status().isOk());
    assertThat(one().usualGapSeconds()).isEqualTo(300);
    assertThat(page()).doesNotContain("Silent");
    heard(19);
    assertThat(page()).doesNotContain("Silent");
    heard(21);
    assertThat(page()).contains("Silent since").contains("every 5 min");
    tell("{\"readings\":[%s]}".formatted(reading(0, 41))).andExpect(status().isOk());
    assertThat(page()).doesNotContain("Silent");
  }

  private void heard(int minutesAgo) {
    TestCluster.shared()
        .owner()
        .update(
            "update thermometer set heard_at = ? where id = ?",
            java.sql.Timestamp.from(now.minus(minutesAgo, ChronoUnit.MINUTES)),
            one().id());
  }

  @Test
  void whatIsForgottenOpensNothingAndItsReadingsStay() throws Exception {
    tell("{\"readings\":[%s]}".formatted(reading(10, 40))).andExpect(status().isOk());
    send(keeper, PAGE + "/" + one().id() + "/remove").andExpect(status().is3xxRedirection());

    tell("{\"readings\":[%s]}".formatted(reading(0, 40))).andExpect(status().isUnauthorized());
    assertThat(as(keeper, thermometers::all)).isEmpty();
    assertThat(stored()).isEqualTo(1);
  }

  @Test
  void withoutANameOfItsOwnItIsNotPaired() throws Exception {
    send(keeper, PAGE, "name", " ", "jar", "").andExpect(status().isUnprocessableContent());
    send(keeper, PAGE, "name", "CLIP-ON", "jar", "").andExpect(status().isUnprocessableContent());
    assertThat(as(keeper, thermometers::all)).hasSize(1);
  }
}
