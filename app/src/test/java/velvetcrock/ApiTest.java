package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;

class ApiTest extends AppTest {
  private static final String YARROW =
      "{\"herb\":\"yarrow\",\"part\":\"flower\",\"cut\":\"cut\",\"state\":\"dried\",\"massG\":60}";

  private ResultActions reckon(String what, String body) throws Exception {
    return mvc.perform(
        post("/api/v1/reckon/" + what).contentType("application/json").content(body));
  }

  @Test
  void anAmountIsReadAndWeighed() throws Exception {
    reckon("measure", "{\"text\":\"1 cup\",\"of\":{\"carrier\":\"olive\"}}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.massG", Matchers.closeTo(216.0, 0.1)));
    reckon(
            "measure",
            "{\"text\":\"1 cup\",\"of\":{\"herb\":\"yarrow\",\"cut\":\"cut\",\"state\":\"dried\"}}")
        .andExpect(jsonPath("$.massLowG", Matchers.closeTo(11.8, 0.1)))
        .andExpect(jsonPath("$.massHighG", Matchers.closeTo(23.7, 0.1)));
    reckon("measure", "{\"text\":\"1 cup\",\"of\":{\"wax\":\"beeswax\",\"form\":\"pellets\"}}")
        .andExpect(jsonPath("$.massG", Matchers.closeTo(123.0, 0.1)));
  }

  @Test
  void aChargeIsReckonedWithItsWaysOutAndLines() throws Exception {
    reckon(
            "charge",
            "{\"herbs\":["
                + YARROW
                + "],\"carriers\":[{\"carrier\":\"olive\",\"share\":1}],\"ratio\":{\"kind\":\"w/v\",\"oilPerHerb\":5},\"jar\":{\"brimMl\":530,\"innerDiameterMm\":80}}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.oilMl").value(300.0))
        .andExpect(jsonPath("$.covers").value(false))
        .andExpect(jsonPath("$.voidMl", Matchers.closeTo(647.1, 0.1)))
        .andExpect(jsonPath("$.waysOut[?(@.kind == 'more-oil')].oilPerHerb").isNotEmpty())
        .andExpect(jsonPath("$.reckoning[0].standing").value("standard"))
        .andExpect(jsonPath("$.cautions[?(@.code == 'not-covered')]").isNotEmpty());
  }

  @Test
  void yieldAndKeepingAreReckoned() throws Exception {
    reckon("yield", "{\"oilMl\":600,\"herbs\":[" + YARROW + "],\"expression\":\"squeeze\"}")
        .andExpect(jsonPath("$.yieldMl", Matchers.closeTo(510, 0.1)));
    reckon(
            "keeping",
            "{\"chargedOn\":\"2026-06-01\",\"strainedOn\":\"2026-07-06\",\"carriers\":[{\"carrier\":\"olive\",\"bestBefore\":\"2027-01-01\"}],\"light\":\"window\",\"use\":\"skin\"}")
        .andExpect(jsonPath("$.spentDays").value(87.5))
        .andExpect(jsonPath("$.decidedBy").value("carrier-date"))
        .andExpect(jsonPath("$.bestBefore").value("2027-01-01"))
        .andExpect(jsonPath("$.earliest", Matchers.lessThan("2026-10-01")))
        .andExpect(jsonPath("$.latest").value("2027-01-01"));
    reckon(
            "keeping",
            "{\"chargedOn\":\"2026-06-01\",\"strainedOn\":\"2026-06-03\",\"carriers\":[{\"carrier\":\"olive\",\"dateUnknown\":true}],\"herbState\":\"fresh\",\"store\":{\"place\":\"fridge\"},\"use\":\"skin\"}")
        .andExpect(jsonPath("$.startDays").value(273))
        .andExpect(jsonPath("$.decidedBy").value("free-water"))
        .andExpect(jsonPath("$.daysFromStraining").value(14));
  }

  @Test
  void pullIsAnsweredWithItsWidthItsWordsAndByItsPart() throws Exception {
    String cold = "{\"trace\":[{\"hours\":0,\"celsius\":20},{\"hours\":840,\"celsius\":20}],";
    String olive = "\"carriers\":[{\"carrier\":\"olive\",\"share\":1}],\"cut\":\"cut\"";
    reckon("extraction", cold + olive + "}")
        .andExpect(jsonPath("$.pull", Matchers.closeTo(0.90, 0.005)))
        .andExpect(jsonPath("$.low", Matchers.closeTo(0.74, 0.01)))
        .andExpect(jsonPath("$.high", Matchers.closeTo(0.98, 0.01)))
        .andExpect(jsonPath("$.words").value("nearly-all"));
    reckon("extraction", cold + olive + ",\"part\":\"root\",\"assumed\":true}")
        .andExpect(jsonPath("$.pull", Matchers.lessThan(0.85)))
        .andExpect(jsonPath("$.words").value("good"));
  }

  /** Half coconut sets near 19 °C; 5 % of it in olive stays clear in any kitchen. */
  @Test
  void whereAMixSetsIsAnswered() throws Exception {
    String herb = "{\"herbs\":[" + YARROW + "],\"ratio\":{\"kind\":\"w/v\",\"oilPerHerb\":10},";
    reckon(
            "charge",
            herb
                + "\"carriers\":[{\"carrier\":\"olive\",\"share\":1},{\"carrier\":\"coconut\",\"share\":1}]}")
        .andExpect(jsonPath("$.setsAtC", Matchers.closeTo(19, 1.5)));
    reckon(
            "charge",
            herb
                + "\"carriers\":[{\"carrier\":\"olive\",\"share\":95},{\"carrier\":\"coconut\",\"share\":5}]}")
        .andExpect(jsonPath("$.setsAtC").doesNotExist());
    reckon(
            "formula",
            "{\"parts\":[{\"kind\":\"oil\",\"key\":\"olive\",\"massG\":50},{\"kind\":\"oil\",\"key\":\"coconut\",\"massG\":50}],\"target\":{\"hardness\":16}}")
        .andExpect(jsonPath("$.setsAtC", Matchers.closeTo(19, 1.5)));
  }

  /** A silence widens the ageing and leaves its figure where it was. */
  @Test
  void ageingIsAnsweredWithItsEnds() throws Exception {
    reckon(
            "heat",
            "{\"trace\":[{\"at\":\"2026-06-01T10:00:00Z\",\"celsius\":65},{\"at\":\"2026-06-01T11:00:00Z\",\"celsius\":65}]}")
        .andExpect(jsonPath("$.ageingHours", Matchers.closeTo(45.7, 0.1)))
        .andExpect(jsonPath("$.ageingLowHours", Matchers.closeTo(26.5, 0.3)))
        .andExpect(jsonPath("$.ageingHighHours", Matchers.closeTo(78.9, 0.5)))
        .andExpect(jsonPath("$.gapMinutes").value(60.0));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          measure | {"text":                                             | 400 |
          measure | {"text":{"a":1}}                                     | 400 |
          measure | {}                                                   | 422 | text
          measure | {"text":"1/0 cup"}                                   | 422 | text
          measure | {"text":"1 cup","colour":"red"}                      | 422 | colour
          measure | {"text":"1 cup","of":{"carrier":"engine-oil"}}       | 422 | of.carrier
          charge  | {"herbs":[{"herb":"yarrow","cut":"cut","massG":-1}],"carriers":[{"carrier":"olive"}],"ratio":{"oilPerHerb":5}} | 422 | herbs[0].massG
          charge  | {"herbs":[],"carriers":[]}                           | 422 | herbs
          yield   | {"oilMl":-5,"herbs":[{"herb":"yarrow","cut":"cut","massG":1}]} | 422 | oilMl
          keeping | {"chargedOn":"2026-06-01","strainedOn":"2026-05-01","carriers":[{"carrier":"olive"}]} | 422 | strainedOn
          keeping | {"chargedOn":"2026-06-01","strainedOn":"2026-06-02","carriers":[{"carrier":"olive","bestBefore":"2027-06-01"}],"trace":[{"hours":0,"celsius":43},{"hours":49,"celsius":43}]} | 422 | trace
          balance | {"in":[{"what":"oil","massG":100}],"out":[{"what":"marc","massG":80},{"what":"film","massG":40}]} | 422 | out[1].massG
          balance | {"in":[{"what":"oil","massG":100}],"out":[{"what":"oil","massG":80}],"drivenOffG":140} | 422 | drivenOffG
          keeping | {"chargedOn":"yesterday"}                            | 400 |
          """)
  void whatCannotBeIsAProblemDocumentNamingItsField(
      String what, String body, int answer, String field) throws Exception {
    var result =
        reckon(what, body)
            .andExpect(status().is(answer))
            .andExpect(jsonPath("$.status").value(answer));
    if (field != null) {
      result.andExpect(jsonPath("$.errors[0].field").value(field));
    }
  }

  @Test
  void aRequestOfMoreThanItsShareIsRefused() throws Exception {
    HttpRequest large =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/v1/reckon/measure"))
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString("{\"text\":\"" + "9".repeat(70_000) + "\"}"))
            .build();

    var answer = HttpClient.newHttpClient().send(large, HttpResponse.BodyHandlers.ofString());

    assertThat(answer.statusCode()).isEqualTo(413);
    assertThat(answer.body()).contains("64 KiB");
  }

  @Test
  void aTraceOfAMillionPointsIsRefusedUnread() throws Exception {
    String million = "{\"trace\":[" + "{\"hours\":1,\"celsius\":20},".repeat(1_000_000) + "]}";
    HttpRequest large =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/v1/reckon/extraction"))
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(million))
            .build();

    var answer = HttpClient.newHttpClient().send(large, HttpResponse.BodyHandlers.ofString());

    assertThat(answer.statusCode()).isEqualTo(413);
    assertThat(answer.body()).contains("1024 KiB");
  }

  @Test
  void readingsCountOnceAndBadLinesAreNamed() throws Exception {
    String code = charge(5);
    String path = "/api/v1/batches/" + code + "/readings";
    String csv =
        "time,temp °F\nDAYT08:00:00Z,68\nDAYT08:00:00Z,68\nyesterday,70\nDAYT09:00:00Z,hot\nDAYT10:00:00+01:00,9999\n"
            .replace("DAY", today().minusDays(2).toString());
    var request =
        post(path)
            .with(authentication(signedIn(keeper)))
            .with(
                org.springframework.security.test.web.servlet.request
                    .SecurityMockMvcRequestPostProcessors.csrf());
    mvc.perform(request.contentType("text/csv").content(csv))
        .andExpect(jsonPath("$.accepted").value(1))
        .andExpect(jsonPath("$.repeated").value(1))
        .andExpect(jsonPath("$.rejected[*].line", Matchers.contains(4, 5, 6)));
  }

  @Test
  void anEntryIsAppendedOnceUnderItsKey() throws Exception {
    String code = charge(5);
    for (int answer : new int[] {201, 200}) {
      mvc.perform(
              post("/api/v1/batches/" + code + "/entries")
                  .with(authentication(signedIn(keeper)))
                  .with(
                      org.springframework.security.test.web.servlet.request
                          .SecurityMockMvcRequestPostProcessors.csrf())
                  .header("Idempotency-Key", "probe-1-" + code)
                  .contentType("application/json")
                  .content("{\"kind\":\"looked\",\"data\":{\"covered\":true}}"))
          .andExpect(status().is(answer));
    }
    mvc.perform(get("/api/v1/batches/" + code + "/entries").with(authentication(signedIn(keeper))))
        .andExpect(jsonPath("$.length()").value(2));
  }

  @Test
  void theDocumentDescribesEveryCall() throws Exception {
    mvc.perform(get("/api/v1/openapi.json"))
        .andExpect(jsonPath("$.openapi", Matchers.startsWith("3.1")))
        .andExpect(jsonPath("$.paths['/api/v1/reckon/plan'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/drops'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/formula'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/balance'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/extraction'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/heat'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/spirit'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/drying'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/moisture'].post").exists())
        .andExpect(jsonPath("$.paths['/api/v1/reckon/cross-check'].post").exists())
        .andExpect(jsonPath("$.info.title").value("Velvet Crock"))
        .andExpect(jsonPath("$.paths['/api/v1/reckon/keeping'].post").exists())
        .andExpect(jsonPath("$.components.schemas.YieldRequest.properties.oilMl").exists())
        .andExpect(jsonPath("$.components.schemas.YieldAnswer.properties.yieldMl").exists())
        .andExpect(jsonPath("$.paths['/api/v1/batches/{code}/readings'].post").exists());
  }
}
