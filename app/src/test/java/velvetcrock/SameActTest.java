package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;

/** Each act is the same entry by whichever door it comes. */
class SameActTest extends BottleHouse {
  private static final String PAN =
      "'bath':{'name':'Preserving pan','depthMm':60,'lowestMm':20,'widthMm':260,'watts':60}";
  private static final String ON =
      "'heater':{'name':'Electric plate','kind':'ELECTRIC_PLATE'},'knob':{'name':'1'}," + PAN;

  final JdbcTemplate jdbc = TestCluster.shared().owner();

  /** A way in: its path below the code and what is typed there, or the kind and data sent. */
  private record Door(String path, String... typed) {
    static Door json(String kind, String data) {
      return new Door("", kind, data);
    }

    static Door page(String... typed) {
      return new Door("/batches/{code}/log", typed);
    }

    static Door stove(String... typed) {
      return new Door("/stove/{code}/log", typed);
    }
  }

  /** How far a jar has come before the act. */
  private enum Stage {
    STANDING,
    IN_A_BATH,
    STRAINED,
    BOTTLED
  }

  /** An act with every door to it. */
  private record Act(String name, Stage stage, List<Door> doors) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static Act act(String name, Stage stage, Door... doors) {
    return new Act(name, stage, List.of(doors));
  }

  private static Act plain(String kind) {
    return act(kind, Stage.STANDING, Door.page("kind", kind), Door.json(kind, "{}"));
  }

  static Stream<Act> acts() {
    return Stream.of(
        plain("shaken"),
        plain("turned"),
        plain("all-well"),
        act(
            "looked",
            Stage.STANDING,
            Door.page(
                "kind",
                "looked",
                "covered",
                "no",
                "floating",
                "yes",
                "mould",
                "no",
                "bubbles",
                "NONE"),
            Door.json(
                "looked", "{'covered':false,'floating':true,'bubbles':'NONE','mould':false}")),
        act(
            "smelled",
            Stage.STANDING,
            Door.page("kind", "smelled", "scent", "CLEAR", "off", "NONE"),
            Door.json("smelled", "{'scent':'CLEAR','off':'NONE'}")),
        act(
            "topped up",
            Stage.STANDING,
            Door.page("kind", "topped-up", "amount", "30 ml"),
            Door.json("topped-up", "{'ml':30,'carrier':'rapeseed','text':'30 ml'}")),
        act(
            "weighed",
            Stage.STANDING,
            Door.page("kind", "pot-weighed", "gross", "1200 g"),
            Door.json("pot-weighed", "{'grossG':1200,'text':'1200 g'}")),
        act(
            "noted",
            Stage.STANDING,
            Door.page("kind", "note", "text", "Smells of hay"),
            Door.json("note", "{'text':'Smells of hay'}")),
        act(
            "thrown out",
            Stage.STANDING,
            Door.page("kind", "thrown-out", "reason", "MUSTY"),
            Door.json("thrown-out", "{'reason':'MUSTY'}")),
        act(
            "the bath topped up",
            Stage.IN_A_BATH,
            Door.page("kind", "bath-topped-up"),
            Door.stove("kind", "bath"),
            Door.json("bath-topped-up", "{}")),
        act(
            "felt by hand",
            Stage.IN_A_BATH,
            Door.stove("kind", "felt", "felt", "HOT"),
            Door.json("felt-by-hand", "{'test':'HOT'}")),
        act(
            "taken off",
            Stage.IN_A_BATH,
            Door.page("kind", "taken-off-heat"),
            Door.stove("kind", "off"),
            Door.json("taken-off-heat", "{}")),
        act(
            "strained",
            Stage.STANDING,
            new Door(
                "/batches/{code}/strain",
                "amount",
                "320 ml",
                "expression",
                "SQUEEZE",
                "second",
                "on"),
            Door.json(
                "strained",
                "{'oilMl':320,'text':'320 ml','expression':'SQUEEZE','predictedMl':PREDICTED,"
                    + "'how':{'secondPass':true,'fineFilter':false,'settles':false,'sure':false}}")),
        act(
            "the marc weighed",
            Stage.STRAINED,
            Door.page("kind", "marc-weighed", "gross", "85 g"),
            Door.json("marc-weighed", "{'massG':85,'text':'85 g'}")),
        act(
            "poured off what settled",
            Stage.STRAINED,
            Door.page("kind", "decanted", "what", "SEDIMENT", "gross", "4 g", "amount", "290 ml"),
            Door.json("decanted", "{'what':'SEDIMENT','massG':4,'text':'4 g','clearMl':290}")),
        act(
            "stood clear",
            Stage.STRAINED,
            Door.page("kind", "stood-clear"),
            Door.json("stood-clear", "{}")),
        act(
            "bottled",
            Stage.STRAINED,
            new Door(
                "/batches/{code}/bottle",
                "amount",
                "200 ml",
                "size",
                "250 ml",
                "place",
                "COOL",
                "glass",
                "AMBER",
                "antioxidant",
                "NONE",
                "clean",
                "on",
                "cold",
                "on"),
            Door.json(
                "bottled",
                "{'bottles':[{'letter':'A','ml':200,'sizeMl':250,'place':'COOL','glass':'AMBER',"
                    + "'antioxidant':'NONE','cappedCold':true}]}")),
        act(
            "a bottle opened",
            Stage.BOTTLED,
            new Door("/cellar/{code}/A/log", "kind", "opened"),
            Door.json("bottle-opened", "{'bottle':'A'}")),
        act(
            "a bottle checked",
            Stage.BOTTLED,
            new Door("/cellar/{code}/A/log", "kind", "checked", "off", "RANCID", "cloudy", "on"),
            Door.json(
                "bottle-checked", "{'bottle':'A','off':'RANCID','cloudy':true,'fizzing':false}")),
        act(
            "some drawn",
            Stage.BOTTLED,
            new Door("/cellar/{code}/A/draw", "amount", "20 ml", "what", "a salve"),
            Door.json("drawn", "{'bottle':'A','ml':20,'text':'20 ml','what':'a salve'}")),
        act(
            "a bottle gone",
            Stage.BOTTLED,
            new Door("/cellar/{code}/A/gone", "reason", "RANCID"),
            Door.json("bottle-gone", "{'bottle':'A','reason':'RANCID'}")));
  }

  @ParameterizedTest
  @MethodSource("acts")
  void theLogsAreTheSameByEveryDoor(Act act) throws Exception {
    List<List<String>> logs = new ArrayList<>();
    for (Door door : act.doors()) {
      String code = ready(act.stage());
      int before = log(code).size();
      String beside = act.stage() == Stage.IN_A_BATH ? ready(act.stage()) : code;
      int besideBefore = log(beside).size();
      go(door, code, logs);
      List<String> written = new ArrayList<>(log(code).subList(before, log(code).size()));
      if (!beside.equals(code)) {
        written.addAll(log(beside).subList(besideBefore, log(beside).size()));
        as(keeper, () -> off(beside));
      }
      logs.add(written);
    }
    assertThat(logs.get(0)).isNotEmpty();
    IntStream.range(1, logs.size())
        .forEach(i -> assertThat(logs.get(i)).as("by door %s", i).isEqualTo(logs.get(0)));
  }

  /** What the bench and the page for jars begun before write, a script can write. */
  @ParameterizedTest
  @ValueSource(strings = {"/bench/charge", "/bench/take-on"})
  void aJarIsChargedTheSameByPageAndByScript(String page) throws Exception {
    String place = as(keeper, () -> places.all().get(0).id().toString());
    String day = today().minusDays(2).toString();
    String[] typed =
        page.equals("/bench/charge")
            ? new String[] {
              "amount",
              "40 g",
              "herbs[0].herb",
              "heather",
              "herbs[0].cut",
              "CUT",
              "herbs[0].state",
              "DRIED",
              "oils[0].carrier",
              "rapeseed",
              "jar",
              "jar-500",
              "place",
              place,
              "chargedOn",
              day,
              "bestBefore",
              today().plusYears(1).toString(),
              "clean",
              "yes",
              "key",
              key()
            }
            : new String[] {
              "herbs[0].herb",
              "heather",
              "herbs[0].cut",
              "CUT",
              "herbs[0].state",
              "DRIED",
              "herbs[0].amount",
              "40 g",
              "oils[0].carrier",
              "rapeseed",
              "oils[0].amount",
              "400 ml",
              "jar",
              "jar-500",
              "place",
              place,
              "chargedOn",
              day,
              "about",
              "7",
              "bestBefore",
              today().plusYears(1).toString(),
              "key",
              key()
            };
    String to = send(keeper, page, typed).andReturn().getResponse().getRedirectedUrl();
    assertThat(to).startsWith("/batches/");
    String byPage = log(to.substring("/batches/".length())).get(0);
    String data = byPage.substring(byPage.indexOf('{'));

    String answer =
        mvc.perform(
                post("/api/v1/batches")
                    .with(authentication(signedIn(keeper)))
                    .with(csrf())
                    .header("Idempotency-Key", key())
                    .contentType("application/json")
                    .content(data))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String code = answer.replaceAll("(?s).*\"code\"\\s*:\\s*\"(\\w+)\".*", "$1");

    assertThat(log(code)).as(answer).containsExactly(byPage);
  }

  private Object off(String code) {
    return batches.find(code).state().heat().now().isEmpty()
        ? ""
        : acts.append(
            code,
            new velvetcrock.core.batch.TakenOffHeat(),
            null,
            null,
            UUID.randomUUID().toString());
  }

  private void go(Door door, String code, List<List<String>> logs) throws Exception {
    if (door.path().isEmpty()) {
      String predicted =
          logs.isEmpty()
              ? ""
              : logs.get(0).get(0).replaceAll("(?s).*\"predictedMl\": (\\{[^}]*\\}).*", "$1");
      send(code, door.typed()[0], door.typed()[1].replace("PREDICTED", predicted));
      return;
    }
    String[] typed =
        Stream.concat(Stream.of(door.typed()), Stream.of("key", key())).toArray(String[]::new);
    int status =
        send(keeper, door.path().replace("{code}", code), typed)
            .andReturn()
            .getResponse()
            .getStatus();
    assertThat(status).as(door.path()).isEqualTo(302);
  }

  private void send(String code, String kind, String data) throws Exception {
    String answer =
        mvc.perform(
                post("/api/v1/batches/" + code + "/entries")
                    .with(authentication(signedIn(keeper)))
                    .with(csrf())
                    .header("Idempotency-Key", key())
                    .contentType("application/json")
                    .content(("{'kind':'" + kind + "','data':" + data + "}").replace('\'', '"')))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(answer).as(kind).contains("\"entryId\"");
  }

  private static String key() {
    return UUID.randomUUID().toString();
  }

  private String ready(Stage stage) throws Exception {
    return switch (stage) {
      case STANDING -> charge(30);
      case IN_A_BATH -> {
        String code = charge(30);
        send(code, "put-on-heat", "{" + ON + "}");
        yield code;
      }
      case STRAINED -> {
        String code = charge(30);
        send(
            code,
            "strained",
            "{'oilMl':300,'text':'300 ml','expression':'SQUEEZE','predictedMl':{'low':290,'high':330}}");
        yield code;
      }
      case BOTTLED -> bottled(60);
    };
  }

  /** Every line of a log as it is stored, without who wrote it and when. */
  private List<String> log(String code) {
    return jdbc.queryForList(
        """
        select e.kind || ' ' || e.version || ' ' || e.data from entry e
        join batch b on b.id = e.subject_id
        where b.household_id = ? and b.code = ? order by e.number
        """,
        String.class,
        house.id(),
        code);
  }
}
