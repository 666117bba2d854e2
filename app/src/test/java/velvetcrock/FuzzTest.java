package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.AppTest.Somebody;

/**
 * Every form on every page, and every route of the JSON document, with what nobody would send: no
 * answer of 500 and above, none after five seconds, and no row changed by one that was refused.
 * {@code bench/fuzz} sends more: {@code velvetcrock.fuzz} is how many, {@code velvetcrock.seed}
 * from where.
 */
class FuzzTest {
  private static final int MANY = Integer.getInteger("velvetcrock.fuzz", 600);
  private static final long SEED = Long.getLong("velvetcrock.seed", 21);
  private static final int MOST_PAGES = 160;
  private static final long LONGEST_NANOS = 5_000_000_000L;

  private static final List<String> ODD =
      List.of(
          "",
          " ",
          "0",
          "-1",
          "1e309",
          "NaN",
          "∞",
          "9999999999999999999999",
          "0.0000000001",
          "½",
          "a cup",
          "1/0",
          "true",
          "null",
          "[]",
          "{}",
          "<script>",
          "' or 1=1 --",
          "../../etc/passwd",
          "\u0000",
          "\u202Eabc",
          "🫙🫙🫙",
          "ß".repeat(300),
          "x".repeat(5000),
          "31.02.2026",
          "2026-13-45",
          "0001-01-01",
          "+999999-01-01",
          "HERB",
          "yarrow",
          "tomorrow",
          "00000000-0000-0000-0000-000000000000",
          "%00",
          "\r\nSet-Cookie: a=b");

  private final Random random = new Random(SEED);
  private final JsonMapper json = new JsonMapper();
  private MockMvc mvc;
  private JdbcTemplate jdbc;
  private Somebody who;

  private record Form(String action, Map<String, String> fields) {}

  @Test
  @Timeout(value = 1, unit = TimeUnit.DAYS)
  void nothingOddBreaksTheHouse() throws Exception {
    String url = TestCluster.shared().url();
    String own = url.replace("/velvetcrock", "/fuzz");
    String password = TestCluster.shared().password();
    JdbcTemplate beside =
        new JdbcTemplate(
            new DriverManagerDataSource(
                url.replace("/velvetcrock", "/postgres"), "velvetcrock", password));
    beside.execute("drop database if exists fuzz with (force)");
    beside.execute("create database fuzz");
    try (var app =
        new SpringApplicationBuilder(VelvetCrock.class)
            .run(
                "--server.port=0",
                "--velvetcrock.demo=true",
                "--velvetcrock.demo-probes=false",
                "--spring.datasource.url=" + own,
                "--spring.datasource.password=" + password,
                "--spring.main.banner-mode=off")) {
      jdbc = new JdbcTemplate(new SingleConnectionDataSource(own, "velvetcrock", password, true));
      mvc =
          MockMvcBuilders.webAppContextSetup((WebApplicationContext) app)
              .apply(springSecurity())
              .build();
      who =
          new Somebody(
              jdbc.queryForObject("select id from household where demo", UUID.class), "Ailsa");
      List<Form> forms = forms();
      List<Runnable> routes = jsonRoutes();
      noteWhatChanges();
      assertThat(forms).hasSizeGreaterThan(60);
      assertThat(routes).hasSizeGreaterThan(20);
      for (int i = 0; i < MANY; i++) {
        if (random.nextInt(4) == 0) {
          routes.get(random.nextInt(routes.size())).run();
        } else {
          send(forms.get(random.nextInt(forms.size())), i);
        }
      }
    }
  }

  /** All forms that change something, from a walk along the links of the house. */
  private List<Form> forms() throws Exception {
    Deque<String> open = new ArrayDeque<>(List.of("/"));
    Set<String> seen = new LinkedHashSet<>(open);
    Map<String, Form> found = new LinkedHashMap<>();
    for (int pages = 0; !open.isEmpty() && pages < MOST_PAGES; pages++) {
      String page = open.poll();
      var answer =
          mvc.perform(get(page).with(authentication(AppTest.signedIn(who))))
              .andReturn()
              .getResponse();
      assertThat(answer.getStatus()).as(page).isLessThan(500);
      if (!String.valueOf(answer.getContentType()).startsWith("text/html")) {
        continue;
      }
      var document = Jsoup.parse(answer.getContentAsString(), "http://localhost/");
      for (Element link : document.select("a[href^=/]")) {
        String path = link.attr("href").replaceAll("[?#].*", "");
        if (seen.add(path)) {
          open.add(path);
        }
      }
      for (Element form : document.select("form[method=post]")) {
        Map<String, String> fields = new LinkedHashMap<>();
        form.select("[name]").forEach(at -> fields.putIfAbsent(at.attr("name"), value(at)));
        fields.remove("_csrf");
        String action = form.attr("action");
        found.putIfAbsent(
            action.replaceAll("[A-Z0-9]{3,4}|[0-9a-f-]{36}", "") + fields.keySet(),
            new Form(action, fields));
      }
    }
    // A stand-in probe goes on writing by itself: that would be laid to whoever is refused next.
    found
        .values()
        .removeIf(f -> f.action().matches("/sign-out|/demo.*|/erase.*|/stove/\\w+/stand-in"));
    return new ArrayList<>(found.values());
  }

  private static String value(Element at) {
    Element chosen = at.selectFirst("option[selected], option");
    return chosen == null ? at.attr("value") : chosen.attr("value");
  }

  private void send(Form form, int i) {
    Map<String, String> fields = new LinkedHashMap<>(form.fields());
    List<String> names = new ArrayList<>(fields.keySet());
    for (int n = random.nextInt(4); n >= 0 && !names.isEmpty(); n--) {
      String name = names.get(random.nextInt(names.size()));
      if (random.nextInt(6) == 0) {
        fields.remove(name);
      } else {
        fields.put(name, odd());
      }
    }
    if (fields.containsKey("key") && random.nextInt(8) != 0) {
      fields.put("key", "fuzz-" + SEED + "-" + i);
    }
    var call =
        request(HttpMethod.POST, form.action().isEmpty() ? "/" : form.action().replace("%", "%25"))
            .with(authentication(AppTest.signedIn(who)))
            .with(csrf());
    fields.forEach(call::param);
    answered(call, form.action() + " " + fields);
  }

  private String odd() {
    return ODD.get(random.nextInt(ODD.size()));
  }

  /** One sender for each route of the JSON document that takes a body. */
  private List<Runnable> jsonRoutes() throws Exception {
    JsonNode document =
        json.readTree(
            mvc.perform(get("/api/v1/openapi.json"))
                .andReturn()
                .getResponse()
                .getContentAsString());
    String code =
        jdbc.queryForObject(
            "select code from batch where status = 'INFUSING' limit 1", String.class);
    List<Runnable> found = new ArrayList<>();
    for (var path : document.get("paths").properties()) {
      for (var method : path.getValue().properties()) {
        JsonNode content = method.getValue().at("/requestBody/content");
        String at = path.getKey().replaceAll("\\{[a-z]+}", code);
        found.add(() -> sendJson(method.getKey(), at, document, content));
      }
    }
    return found;
  }

  private void sendJson(String method, String path, JsonNode document, JsonNode content) {
    String type =
        content.propertyNames().isEmpty()
            ? "application/json"
            : content.propertyNames().iterator().next();
    String body =
        type.contains("json")
            ? made(document, content.path(type).path("schema"), 0)
            : "time,celsius\n" + odd() + "," + odd() + "\n";
    var call =
        request(HttpMethod.valueOf(method.toUpperCase(java.util.Locale.ROOT)), path)
            .with(authentication(AppTest.signedIn(who)))
            .with(csrf())
            .contentType(type)
            .content(body);
    MockHttpServletResponse answer = answered(call, method + " " + path + " " + body);
    String said;
    try {
      said = answer.getContentAsString();
    } catch (java.io.UnsupportedEncodingException e) {
      throw new IllegalStateException(e);
    }
    if (answer.getStatus() >= 400) {
      assertThat(said)
          .as(body)
          .doesNotContain("Exception")
          .doesNotContain("velvetcrock.")
          .doesNotContain("java.")
          .doesNotContain("jackson")
          .doesNotContain("Cannot deserialize");
    }
  }

  /** A document of a schema, with something odd in about every third place. */
  private String made(JsonNode document, JsonNode schema, int depth) {
    if (schema.has("$ref")) {
      String name = schema.get("$ref").asString().replaceAll(".*/", "");
      return made(document, document.at("/components/schemas/" + name), depth);
    }
    if (depth > 8 || random.nextInt(6) == 0) {
      return random.nextBoolean()
          ? json.writeValueAsString(odd())
          : List.of("1e9", "-5", "null", "[]", "{").get(random.nextInt(5));
    }
    return switch (schema.path("type").asString("object")) {
      case "array" -> "[" + made(document, schema.path("items"), depth + 1) + "]";
      case "number", "integer" -> String.valueOf(random.nextInt(500));
      case "boolean" -> String.valueOf(random.nextBoolean());
      case "string" ->
          schema.has("enum")
              ? schema.get("enum").get(random.nextInt(schema.get("enum").size())).toString()
              : json.writeValueAsString(odd());
      default ->
          schema.path("properties").properties().stream()
              .filter(p -> random.nextInt(5) != 0)
              .map(p -> "\"" + p.getKey() + "\":" + made(document, p.getValue(), depth + 1))
              .collect(Collectors.joining(",", "{", "}"));
    };
  }

  private MockHttpServletResponse answered(
      org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder call,
      String sent) {
    long begun = System.nanoTime();
    MockHttpServletResponse answer;
    try {
      answer = mvc.perform(call).andReturn().getResponse();
    } catch (Exception e) {
      throw new AssertionError(sent, e);
    }
    assertThat(answer.getStatus()).as(sent).isLessThan(500);
    assertThat(System.nanoTime() - begun).as(sent).isLessThan(LONGEST_NANOS);
    List<String> now = changed();
    if (answer.getStatus() >= 400) {
      assertThat(now).as("%s: %s", answer.getStatus(), sent).isEmpty();
    }
    return answer;
  }

  /**
   * Has every row of what somebody wrote noted as it changes; the calendar is reckoned beside it.
   */
  private void noteWhatChanges() {
    jdbc.execute(
        """
        create table changed (what text not null);
        create function note_change() returns trigger language plpgsql security definer as
        $$ begin insert into public.changed values (tg_op || ' ' || tg_table_name); return null; end $$;
        """);
    for (String table :
        jdbc.queryForList(
            "select relname from pg_class where relnamespace = 'public'::regnamespace"
                + " and relkind in ('r', 'p') and not relispartition"
                + " and relname not like 'spring_session%' and relname not in"
                + " ('changed', 'happened', 'flyway_schema_history', 'calendar_item', 'job_lock')",
            String.class)) {
      jdbc.execute(
          "create trigger note_change after insert or update or delete on "
              + table
              + " for each row execute function note_change()");
    }
  }

  /** What has changed since this was asked for the last time. */
  private List<String> changed() {
    return jdbc.queryForList(
        "with gone as (delete from changed returning what) select distinct what from gone",
        String.class);
  }
}
