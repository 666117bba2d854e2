package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.aot.AotDetector;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.SpringProperties;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.util.ClassUtils;
import org.springframework.web.context.WebApplicationContext;
import velvetcrock.AppTest.Somebody;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.web.CurrentHousehold;

/** Data that any earlier version wrote open unchanged: dumps of the demo as each schema had it. */
class UpgradeTest {
  /** The day on which the dumps were made, by which the demo's dates were reckoned. */
  private static final Instant THEN = Instant.parse("2026-11-27T15:10:00Z");

  /** Oils whose months in the catalogue were corrected since; their lots' own dates follow. */
  private static final String KEEPING_CORRECTED = "('sunflower', 'grapeseed', 'rosehip', 'hemp')";

  private static final List<String> PAGES =
      List.of("/", "/round", "/cellar", "/drawer", "/products", "/stove", "/journal", "/plans");

  @ParameterizedTest
  @ValueSource(
      strings = {"01", "02", "03", "04", "05", "06", "08", "09", "11", "12", "13", "14", "15"})
  void whatAnEarlierVersionWroteOpensUnchanged(String version) throws Exception {
    String name = "upgrade_" + version;
    new JdbcTemplate(database("postgres")).execute("create database " + name);
    JdbcTemplate jdbc = new JdbcTemplate(database(name));
    restore(jdbc, version);
    Map<String, List<Map<String, Object>>> before = figures(jdbc);

    asItIsShipped(true);
    try (var app =
        new SpringApplicationBuilder(VelvetCrock.class)
            .main(VelvetCrock.class)
            .initializers(
                context ->
                    ((GenericApplicationContext) context)
                        .registerBean(
                            "then",
                            Clock.class,
                            () -> Clock.fixed(THEN, ZoneOffset.UTC),
                            bean -> bean.setPrimary(true)))
            .run(
                "--server.port=0",
                "--spring.datasource.url=" + url(name),
                "--spring.datasource.password=" + TestCluster.shared().password(),
                "--spring.datasource.hikari.maximum-pool-size=3",
                "--spring.main.lazy-initialization=true",
                "--spring.main.banner-mode=off")) {
      List<Map<String, Object>> bottles = before.remove("bottles");
      List<Map<String, Object>> products = before.remove("products");
      Map<String, List<Map<String, Object>>> after = figures(jdbc);
      moved(bottles, after.remove("bottles"), jdbc);
      followed(products, after.remove("products"), jdbc);
      assertThat(after).isEqualTo(before);
      everyPageOpens((WebApplicationContext) app, jdbc);
      assertThat(jdbc.queryForObject("select count(*) from entry where version < 1", Long.class))
          .isZero();
    } finally {
      asItIsShipped(false);
    }
  }

  /** As it was processed ahead of time, where it was: a start takes half as long then. */
  private static void asItIsShipped(boolean yes) {
    boolean processed =
        ClassUtils.isPresent(
            VelvetCrock.class.getName() + "__ApplicationContextInitializer",
            VelvetCrock.class.getClassLoader());
    SpringProperties.setProperty(AotDetector.AOT_ENABLED, String.valueOf(yes && processed));
  }

  /**
   * A bottle's date stays, or was moved once, with its reason and its label to be printed again.
   */
  private static void moved(
      @Nullable List<Map<String, Object>> before,
      @Nullable List<Map<String, Object>> after,
      JdbcTemplate jdbc) {
    if (before == null || after == null) {
      assertThat(after).isEqualTo(before);
      return;
    }
    assertThat(after).hasSameSizeAs(before);
    for (int i = 0; i < before.size(); i++) {
      Map<String, Object> was = new LinkedHashMap<>(before.get(i));
      Map<String, Object> is = new LinkedHashMap<>(after.get(i));
      Object from = was.remove("best_before");
      Object to = is.remove("best_before");
      was.remove("decided_by");
      is.remove("decided_by");
      assertThat(is).isEqualTo(was);
      Long moves =
          jdbc.queryForObject(
              "select count(*) from bottle_date_move m join batch b on b.id = m.batch_id"
                  + " where b.code = ? and m.letter = ? and m.from_date = ? and m.to_date = ?"
                  + " and m.why = 'how fast oils age in heat and cold is reckoned anew'",
              Long.class,
              was.get("code"),
              was.get("letter"),
              from,
              to);
      assertThat(moves)
          .as(was.get("code") + "-" + was.get("letter"))
          .isEqualTo(from.equals(to) ? 0 : 1);
    }
    assertThat(jdbc.queryForObject("select count(*) from bottle where reckoned_by < 2", Long.class))
        .isZero();
  }

  /**
   * A product's date stays, or follows that of its oil, which its log then says with the reason.
   */
  private static void followed(
      @Nullable List<Map<String, Object>> before,
      @Nullable List<Map<String, Object>> after,
      JdbcTemplate jdbc) {
    if (before == null || after == null) {
      assertThat(after).isEqualTo(before);
      return;
    }
    assertThat(after).hasSameSizeAs(before);
    for (int i = 0; i < before.size(); i++) {
      Map<String, Object> was = new LinkedHashMap<>(before.get(i));
      Map<String, Object> is = new LinkedHashMap<>(after.get(i));
      Object from = was.remove("best_before");
      Object to = is.remove("best_before");
      assertThat(is).isEqualTo(was);
      if (!from.equals(to)) {
        assertThat(
                jdbc.queryForObject(
                    "select count(*) from entry e join product p on p.id = e.subject_id"
                        + " where p.code = ? and e.kind = 'oil-reckoned-anew'"
                        + " and e.data ->> 'why' like 'how fast oils age%'",
                    Long.class, was.get("code")))
            .as("product " + was.get("code") + " from " + from + " to " + to)
            .isPositive();
      }
    }
    assertThat(
            jdbc.queryForObject(
                "select count(*) from product where reckoned_by < 2"
                    + " and status in ('IN_THE_PAN', 'POURED')",
                Long.class))
        .isZero();
  }

  private static void everyPageOpens(WebApplicationContext app, JdbcTemplate jdbc)
      throws Exception {
    MockMvc mvc = MockMvcBuilders.webAppContextSetup(app).apply(springSecurity()).build();
    UUID house = jdbc.queryForObject("select id from household where demo", UUID.class);
    Somebody ailsa = new Somebody(house, "Ailsa");
    List<String> pages = new ArrayList<>(PAGES);
    List<String> codes = jdbc.queryForList("select code from batch", String.class);
    codes.forEach(code -> pages.add("/batches/" + code));
    codes.forEach(code -> pages.add("/api/v1/batches/" + code));
    jdbc.queryForList("select id from lot", String.class)
        .forEach(id -> pages.add("/drawer/lots/" + id));
    jdbc.queryForList("select id from drying_load", String.class)
        .forEach(id -> pages.add("/drawer/drying/" + id));
    jdbc.queryForList("select code from product", String.class)
        .forEach(code -> pages.add("/products/" + code));
    for (String page : pages) {
      var answer =
          mvc.perform(get(page).with(authentication(AppTest.signedIn(ailsa))))
              .andReturn()
              .getResponse();
      assertThat(answer.getStatus()).as(page).isEqualTo(200);
    }
    Batches batches = app.getBean(Batches.class);
    app.getBean(CurrentHousehold.class)
        .actingAs(
            ailsa,
            () -> {
              codes.forEach(code -> isFolded(batches, batches.find(code)));
              return null;
            });
  }

  private static void isFolded(Batches batches, BatchRecord batch) {
    assertThat(batch.state())
        .isEqualTo(BatchLog.fold(batches.log(batch).stream().map(line -> line.entry()).toList()));
  }

  /** What people read off the pages, as it is kept for them. */
  private static Map<String, List<Map<String, Object>>> figures(JdbcTemplate jdbc) {
    Map<String, List<Map<String, Object>>> figures = new LinkedHashMap<>();
    figures.put(
        "batches", jdbc.queryForList("select code, status, charged_on from batch order by 1"));
    figures.put(
        "bottles",
        jdbc.queryForList(
            "select b.code, o.letter, o.left_ml, o.best_before, o.decided_by, o.gone"
                + " from bottle o join batch b on b.id = o.batch_id order by 1, 2"));
    if (has(jdbc, "lot")) {
      figures.put(
          "lots",
          jdbc.queryForList(
              "select id, thing_key, amount, case when thing_key in "
                  + KEEPING_CORRECTED
                  + " then null else good_until end from lot order by 1"));
      figures.put(
          "loads", jdbc.queryForList("select id, herb_key, standing from drying_load order by 1"));
    }
    String products = has(jdbc, "product") ? "product" : has(jdbc, "pot") ? "pot" : "";
    if (!products.isEmpty()) {
      figures.put(
          "products",
          jdbc.queryForList(
              "select code, name, status, made_on, best_before from " + products + " order by 1"));
    }
    figures.values().removeIf(List::isEmpty);
    return figures;
  }

  private static boolean has(JdbcTemplate jdbc, String table) {
    return jdbc.queryForObject("select to_regclass(?) is not null", Boolean.class, table);
  }

  private static void restore(JdbcTemplate jdbc, String version) throws Exception {
    try (var file = UpgradeTest.class.getResourceAsStream("/dumps/v" + version + ".sql.gz");
        var unpacked = new GZIPInputStream(file)) {
      jdbc.execute(new String(unpacked.readAllBytes(), StandardCharsets.UTF_8));
    }
  }

  private static String url(String name) {
    return TestCluster.shared().url().replace("/velvetcrock", "/" + name);
  }

  private static DataSource database(String name) {
    return new DriverManagerDataSource(url(name), "velvetcrock", TestCluster.shared().password());
  }
}
