package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.json.JsonMapper;

/** The log by its JSON face: what a script may write, and what happens to nonsense. */
class LogApiTest extends AppTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String CHARGED =
      """
      {"method":"COLD","herbs":[{"herb":"yarrow","part":"FLOWER","cut":"CUT","state":"DRIED",
      "massG":{"low":30,"high":30},"waterFraction":0.1,"text":"30 g"}],
      "carriers":[{"carrier":"olive","share":1,"bestBefore":"2027-09-01"}],
      "oilMl":{"low":400,"high":400},"oilText":"","jar":{"name":"Jar","brimMl":530,
      "innerDiameterMm":80},"coverMm":12,"use":"SKIN","stand":{"place":"%s","name":"Shelf",
      "light":"DARK"},"chargedOn":"%s","aboutDays":0,"takenOn":false,"cleanAndDry":true}
      """;

  /** Entries that may follow a charge, by kind. */
  private static final Map<String, String> ENTRIES =
      Map.ofEntries(
          Map.entry("shaken", "{}"),
          Map.entry("looked", "{'covered':true,'floating':false,'bubbles':'NONE','mould':false}"),
          Map.entry("smelled", "{'scent':'CLEAR','off':'NONE'}"),
          Map.entry("topped-up", "{'ml':30,'carrier':'olive','text':'30 ml'}"),
          Map.entry("pot-weighed", "{'grossG':1200,'text':'1200 g'}"),
          Map.entry(
              "transferred",
              "{'jar':{'name':'Pan','brimMl':2000,'innerDiameterMm':180,'shape':'PAN'}}"),
          Map.entry(
              "put-on-heat",
              "{'heater':{'name':'Plate','kind':'ELECTRIC_PLATE'},'knob':{'name':'1','settlesC':44},"
                  + "'bath':{'name':'Pan','depthMm':60,'lowestMm':20,'widthMm':220,'watts':80}}"),
          Map.entry("felt-by-hand", "{'test':'HOT'}"),
          Map.entry("note", "{'text':'Smells of hay'}"),
          Map.entry("coloured", "{'colour':{'red':201,'green':166,'blue':60},'plain':false}"),
          Map.entry("marc-weighed", "{'massG':44,'text':'44 g'}"),
          Map.entry("decanted", "{'what':'SEDIMENT','massG':4,'text':'4 g','clearMl':290}"),
          Map.entry("stood-clear", "{}"),
          Map.entry("looked-back", "{'well':'Clear and green','nextTime':'A finer cut'}"),
          Map.entry(
              "bottle-stood",
              "{'bottle':'A','place':'FRIDGE','glass':'AMBER','sizeMl':250,'antioxidant':'VITAMIN_E'}"),
          Map.entry("bottle-opened", "{'bottle':'A'}"),
          Map.entry(
              "bottle-checked", "{'bottle':'A','off':'RANCID','cloudy':true,'fizzing':false}"),
          Map.entry("drawn", "{'bottle':'A','ml':20,'text':'20 ml','what':'a salve'}"),
          Map.entry("drawn-unbottled", "{'ml':20,'text':'20 ml','what':'a salve'}"),
          Map.entry("given-back", "{'bottle':'A','ml':20,'what':'a salve'}"),
          Map.entry("bottle-gone", "{'bottle':'A','reason':'RANCID'}"),
          Map.entry(
              "strained",
              "{'oilMl':300,'text':'300 ml','expression':'SQUEEZE','predictedMl':{'low':290,'high':330}}"));

  /** Kinds that only a strained batch takes. */
  private static final Set<String> AFTER_STRAINING =
      Set.of("marc-weighed", "decanted", "stood-clear", "looked-back", "drawn-unbottled");

  private static final String BOTTLED =
      "{'bottles':[{'letter':'A','ml':200,'sizeMl':250,'place':'COOL','glass':'AMBER',"
          + "'antioxidant':'NONE','cappedCold':true}]}";

  private record Ready(String code, int entries) {}

  /** A batch whose log may go on with an entry of a kind. */
  private Ready ready(String kind) throws Exception {
    String code = charge(30);
    boolean bottle = ENTRIES.get(kind).contains("'bottle'");
    if (!bottle && !AFTER_STRAINING.contains(kind)) {
      return new Ready(code, 1);
    }
    add(code, "strained", ENTRIES.get("strained"));
    if (!bottle) {
      return new Ready(code, 2);
    }
    add(code, "bottled", BOTTLED);
    return new Ready(code, 3);
  }

  private void add(String code, String kind, String data) throws Exception {
    write("/" + code + "/entries", "{'kind':'" + kind + "','data':" + data + "}")
        .andExpect(status().isCreated());
  }

  private ResultActions write(String path, String body) throws Exception {
    return mvc.perform(
        post("/api/v1/batches" + path)
            .with(authentication(signedIn(keeper)))
            .with(csrf())
            .header("Idempotency-Key", UUID.randomUUID().toString())
            .contentType("application/json")
            .content(body.replace('\'', '"')));
  }

  private ResultActions read(String path) throws Exception {
    return mvc.perform(get("/api/v1/batches" + path).with(authentication(signedIn(keeper))));
  }

  static Stream<String> kinds() {
    return ENTRIES.keySet().stream().sorted();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void everyKindOfEntryIsWrittenAndReadBack(String kind) throws Exception {
    Ready batch = ready(kind);

    add(batch.code(), kind, ENTRIES.get(kind));

    String written = "$[" + batch.entries() + "]";
    read("/" + batch.code() + "/entries")
        .andExpect(jsonPath(written + ".kind").value(kind))
        .andExpect(jsonPath(written + ".by").value("Una"))
        .andExpect(jsonPath(written + ".replaced").value(false));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void nonsenseIsNeverAnErrorOfOurs(String kind) throws Exception {
    String code = ready(kind).code();
    String body = "{'kind':'" + kind + "','data':" + ENTRIES.get(kind) + "}";
    for (Nonsense.Case bad : Nonsense.of(JSON.readTree(body.replace('\'', '"')))) {
      int answer = write("/" + code + "/entries", bad.body()).andReturn().getResponse().getStatus();
      assertThat(answer).as("%s %s", kind, bad.which()).isIn(200, 201, 400, 422);
      if (answer < 300) {
        visit(keeper, "/batches/" + code).andExpect(status().isOk());
      }
    }
    visit(keeper, "/").andExpect(status().isOk());
  }

  /** What a charge says besides, where the herb is dampened with spirit first. */
  private static final String DAMPENED =
      ",\"manner\":{\"blended\":false,\"spirit\":{\"abvPercent\":96,\"massG\":15,\"text\":\"15 g\"},"
          + "\"read\":[\"spirit-fire\"]}}";

  private String dampened() {
    String place = as(keeper, () -> places.all().get(0).id().toString());
    String charged = CHARGED.formatted(place, today().minusDays(3)).strip();
    return charged.substring(0, charged.length() - 1) + DAMPENED;
  }

  @Test
  void aScriptDampensAndPoursAndNonsenseIsNeverAnErrorOfOurs() throws Exception {
    for (Nonsense.Case bad : Nonsense.of(JSON.readTree(dampened()))) {
      int answer = write("", bad.body()).andReturn().getResponse().getStatus();
      assertThat(answer).as("charged %s", bad.which()).isIn(200, 201, 400, 422);
    }
    visit(keeper, "/").andExpect(status().isOk());
    visit(keeper, "/drawer").andExpect(status().isOk());
    for (String entry :
        java.util.List.of(
            "{'kind':'damp-checked','data':{'even':true}}",
            "{'kind':'oil-poured','data':{'oilMl':150,'text':'150 ml','grossG':700}}",
            "{'kind':'pot-weighed','data':{'grossG':690,'text':'690 g'}}")) {
      String code =
          JSON.readTree(write("", dampened()).andReturn().getResponse().getContentAsString())
              .path("code")
              .asString();
      if (entry.contains("pot-weighed")) {
        write(
            "/" + code + "/entries",
            "{'kind':'oil-poured','data':{'oilMl':150,'text':'150 ml','grossG':700}}");
      }
      for (Nonsense.Case bad : Nonsense.of(JSON.readTree(entry.replace('\'', '"')))) {
        int answer =
            write("/" + code + "/entries", bad.body()).andReturn().getResponse().getStatus();
        assertThat(answer).as("%s %s", entry, bad.which()).isIn(200, 201, 400, 422);
        if (answer < 300) {
          visit(keeper, "/batches/" + code).andExpect(status().isOk());
        }
      }
    }
  }

  @Test
  void aBatchIsChargedByAScriptAndStandsOnTheShelf() throws Exception {
    String place = as(keeper, () -> places.all().get(0).id().toString());

    String answer =
        write("", CHARGED.formatted(place, today().minusDays(3)))
            .andExpect(status().isCreated())
            .andReturn()
            .getResponse()
            .getContentAsString();

    String code = JSON.readTree(answer).path("code").asString();
    read("")
        .andExpect(jsonPath("$[0].code").value(code))
        .andExpect(jsonPath("$[0].herb").value("yarrow"));
    read("/" + code).andExpect(jsonPath("$.state.charge.oilMl.low").value(400.0));
    visit(keeper, "/")
        .andExpect(
            org.springframework.test.web.servlet.result.MockMvcResultMatchers.content()
                .string(Matchers.containsString(code)));
  }

  @Test
  void aScriptMayNameAPlaceAndIsToldWhereThereIsNone() throws Exception {
    String named = CHARGED.formatted("dark cupboard", today().minusDays(3));

    String answer =
        write("", named)
            .andExpect(status().isCreated())
            .andReturn()
            .getResponse()
            .getContentAsString();
    String code = JSON.readTree(answer).path("code").asString();

    assertThat(as(keeper, () -> batches.find(code)).state().stand().place())
        .isEqualTo(as(keeper, () -> places.all().get(0).id().toString()));
    write("", named.replace("dark cupboard", "the moon"))
        .andExpect(status().is(422))
        .andExpect(jsonPath("$.errors[0].field").value("stand.place"));
    write("", named.replace("yarrow", "moonwort"))
        .andExpect(jsonPath("$.errors[0].field").value("herbs[0].herb"));
  }

  @Test
  void aSpoiltChargeIsRefusedAndSpoilsNothing() throws Exception {
    assertThat(write("", "null").andReturn().getResponse().getStatus()).isEqualTo(422);
    String place = as(keeper, () -> places.all().get(0).id().toString());
    String good = CHARGED.formatted(place, today().minusDays(3));
    for (Nonsense.Case bad : Nonsense.of(JSON.readTree(good))) {
      int answer = write("", bad.body()).andReturn().getResponse().getStatus();
      assertThat(answer).as(bad.which()).isIn(200, 201, 400, 422);
    }
    visit(keeper, "/").andExpect(status().isOk());
    visit(keeper, "/bench").andExpect(status().isOk());
  }

  @Test
  void anEntryCannotReplaceWhatIsNotThere() throws Exception {
    String code = charge(3);

    write(
            "/" + code + "/entries",
            "{'kind':'struck','data':{},'replaces':'" + UUID.randomUUID() + "'}")
        .andExpect(status().isNotFound());
    write("/" + code + "/entries", "{'kind':'sung','data':{}}")
        .andExpect(status().is(422))
        .andExpect(jsonPath("$.errors[0].field").value("kind"))
        .andExpect(jsonPath("$.errors[0].message", Matchers.containsString("topped-up")));
    write("/ZZZ/entries", "{'kind':'shaken','data':{}}").andExpect(status().isNotFound());
  }

  @Test
  void readingsAreTakenAsJsonOnceEach() throws Exception {
    String code = charge(3);
    String at = today().minusDays(1) + "T08:00:00Z";
    String later = today().minusDays(1) + "T08:10:00Z";
    String body =
        "[{'at':'"
            + at
            + "','celsius':20},{'at':'"
            + later
            + "','celsius':21},{'at':'"
            + at
            + "','celsius':20},{'at':'"
            + later
            + "','celsius':9999}]";

    write("/" + code + "/readings", body)
        .andExpect(jsonPath("$.accepted").value(2))
        .andExpect(jsonPath("$.rejected[*].line", Matchers.contains(4)));
    write("/" + code + "/readings", body).andExpect(jsonPath("$.accepted").value(0));
  }

  @Test
  void aStreamOfJsonIsReadLineByLine() throws Exception {
    String code = charge(3);
    StringBuilder lines = new StringBuilder("{'at':'nonsense','celsius':20}\n\n{broken\n");
    lines.append("{'at':'").append(today().minusDays(90)).append("T08:00:00Z','celsius':20}\n");
    Instant first = Instant.parse(today().minusDays(1) + "T08:00:00Z");
    for (int i = 0; i < 12_000; i++) {
      String at = first.plusSeconds(i).toString();
      lines.append("{'at':'").append(at).append("','celsius':").append(40 + i % 7).append("}\n");
    }

    for (int accepted : List.of(12_000, 0)) {
      mvc.perform(
              post("/api/v1/batches/" + code + "/readings")
                  .with(authentication(signedIn(keeper)))
                  .with(csrf())
                  .contentType("application/x-ndjson")
                  .content(lines.toString().replace('\'', '"')))
          .andExpect(jsonPath("$.accepted").value(accepted))
          .andExpect(jsonPath("$.repeated").value(12_000 - accepted))
          .andExpect(jsonPath("$.rejected[*].line", Matchers.contains(1, 3, 4)));
    }
  }
}
