package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.test.web.servlet.ResultActions;

/** Temperatures as loggers write them. */
class ReadingsTest extends AppTest {
  private String code;
  private String day;

  @BeforeEach
  void aJar() {
    code = charge(5);
    day = today().minusDays(2).toString();
  }

  private ResultActions csv(String text) throws Exception {
    return mvc.perform(
        post("/api/v1/batches/" + code + "/readings")
            .with(authentication(signedIn(keeper)))
            .with(csrf())
            .contentType("text/csv")
            .content(text));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "time,celsius",
        "Time,Temperature °C",
        "timestamp,temp",
        "Date/Time,Temp (°C)",
        "at,c",
        "time,humidity,temperature"
      })
  void anySensibleHeaderIsUnderstood(String header) throws Exception {
    String middle = header.contains("humidity") ? ",44" : "";

    csv(header + "\n" + day + "T08:00:00Z" + middle + ",21.5\n")
        .andExpect(jsonPath("$.accepted").value(1))
        .andExpect(jsonPath("$.rejected").isEmpty());
  }

  @Test
  void fahrenheitIsRecognisedByItsHeader() throws Exception {
    csv("time,temp °F\n" + day + "T08:00:00Z,212\n").andExpect(jsonPath("$.accepted").value(1));
    csv("time,temp °F\n" + day + "T09:00:00Z,1000\n")
        .andExpect(jsonPath("$.rejected[0].why", Matchers.containsString("400")));
  }

  @ParameterizedTest
  @ValueSource(strings = {"a,b", "time,humidity", "celsius", "just words", "\u0000\u0001"})
  void aHeaderWithoutTimeOrTemperatureIsRefusedByName(String header) throws Exception {
    csv(header + "\n" + day + "T08:00:00Z,21\n")
        .andExpect(status().is(422))
        .andExpect(jsonPath("$.errors[0].field").value("header"));
  }

  @Test
  void timesAreReadInTheirZone() throws Exception {
    csv("time,c\n" + day + "T08:00:00Z,21\n" + day + "T10:00:00+02:00,21\n")
        .andExpect(jsonPath("$.accepted").value(1))
        .andExpect(jsonPath("$.repeated").value(1));
  }

  @Test
  void everyBadLineIsNamedAndTheGoodOnesAreKept() throws Exception {
    csv("time,c\n"
            + day
            + "T08:00:00Z,21\n"
            + day
            + "T09:00:00Z\n"
            + "noon,21\n"
            + day
            + "T10:00:00Z,warm\n"
            + day
            + "T11:00:00Z,NaN\n"
            + day
            + "T12:00:00Z,22\n")
        .andExpect(jsonPath("$.accepted").value(2))
        .andExpect(jsonPath("$.rejected[*].line", Matchers.contains(3, 4, 5, 6)));
  }

  @Test
  void whatWasSentBeforeIsNotCountedAgain() throws Exception {
    String text = "time,c\n" + day + "T08:00:00Z,21\n" + day + "T08:10:00Z,22\n";

    csv(text).andExpect(jsonPath("$.accepted").value(2));
    csv(text).andExpect(jsonPath("$.accepted").value(0)).andExpect(jsonPath("$.repeated").value(2));
  }

  @Test
  void aThousandReadingsAreTakenInOneGo() throws Exception {
    StringBuilder text = new StringBuilder("time,c\n");
    for (int i = 0; i < 1000; i++) {
      text.append(day)
          .append("T%02d:%02d:00Z,".formatted(i / 60, i % 60))
          .append(20 + i % 7)
          .append('\n');
    }

    csv(text.toString()).andExpect(jsonPath("$.accepted").value(1000));
    assertThat(as(keeper, () -> batches.find(code)).code()).isEqualTo(code);
    visit(keeper, "/batches/" + code).andExpect(status().isOk());
  }

  @Test
  void anEmptyFileIsNoError() throws Exception {
    csv("\n").andExpect(status().is(Matchers.lessThan(500)));
  }

  @Test
  void localTimesAreOfTheZoneThatIsNamed() throws Exception {
    String text = "time,c\n" + day + " 08:00:00,21\n";
    csv(text).andExpect(jsonPath("$.rejected[0].why", Matchers.containsString("with its zone")));
    mvc.perform(
            post("/api/v1/batches/" + code + "/readings?zone=Europe/Oslo")
                .with(authentication(signedIn(keeper)))
                .with(csrf())
                .contentType("text/csv")
                .content(text))
        .andExpect(jsonPath("$.accepted").value(1));
    mvc.perform(
            post("/api/v1/batches/" + code + "/readings?zone=Nowhere")
                .with(authentication(signedIn(keeper)))
                .with(csrf())
                .contentType("text/csv")
                .content(text))
        .andExpect(status().is(422))
        .andExpect(jsonPath("$.errors[0].field").value("zone"));
  }

  @Test
  void mixedDegreesAreRefusedAsAWhole() throws Exception {
    csv("time,celsius\n"
            + day
            + "T08:00:00Z,43\n"
            + day
            + "T08:01:00Z,43.2\n"
            + day
            + "T08:02:00Z,109.6\n")
        .andExpect(status().is(422))
        .andExpect(jsonPath("$.errors[0].message", Matchers.containsString("mixed")));
    csv("time,c\n" + day + "T08:00:00Z,43\n").andExpect(jsonPath("$.accepted").value(1));
  }

  /**
   * Two hundred thermometers at once on a pool of twelve: each is answered, and nothing is lost.
   */
  @Test
  void twoHundredWritersAtOnceAreAllAnswered() throws Exception {
    List<Callable<Integer>> writers =
        IntStream.range(0, 200)
            .<Callable<Integer>>mapToObj(
                i ->
                    () ->
                        csv("time,celsius\n%sT%02d:%02d:00Z,41.5\n".formatted(day, i / 60, i % 60))
                            .andReturn()
                            .getResponse()
                            .getStatus())
            .toList();
    ExecutorService threads = Executors.newFixedThreadPool(200);
    try {
      for (Future<Integer> answer : threads.invokeAll(writers)) {
        assertThat(answer.get()).isEqualTo(200);
      }
    } finally {
      threads.shutdown();
    }
    csv("time,celsius\n" + day + "T00:00:00Z,41.5\n" + day + "T03:19:00Z,41.5\n")
        .andExpect(jsonPath("$.accepted").value(0));
  }
}
