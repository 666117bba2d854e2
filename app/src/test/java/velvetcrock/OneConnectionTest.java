package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import velvetcrock.AppTest.Somebody;
import velvetcrock.demo.Rehearsal;

/**
 * No act holds two database connections: with a pool of one, nothing waits for another. And whoever
 * follows the links of the demo comes everywhere by it: none leads nowhere.
 */
class OneConnectionTest {
  private static final int WRITERS = 12;

  @Test
  void everythingWorksWithASingleConnection() throws Exception {
    String url = TestCluster.shared().url();
    String own = url.replace("/velvetcrock", "/one_connection");
    String password = TestCluster.shared().password();
    new JdbcTemplate(
            new DriverManagerDataSource(
                url.replace("/velvetcrock", "/postgres"), "velvetcrock", password))
        .execute("create database one_connection");
    try (var app =
        new SpringApplicationBuilder(VelvetCrock.class)
            .run(
                "--server.port=0",
                "--velvetcrock.demo=true",
                "--velvetcrock.demo-probes=false",
                "--spring.datasource.url=" + own,
                "--spring.datasource.password=" + password,
                "--spring.flyway.url=" + own,
                "--spring.flyway.user=velvetcrock",
                "--spring.flyway.password=" + password,
                "--spring.datasource.hikari.maximum-pool-size=1",
                "--spring.datasource.hikari.connection-timeout=4000",
                "--spring.main.banner-mode=off")) {
      JdbcTemplate jdbc =
          new JdbcTemplate(new DriverManagerDataSource(own, "velvetcrock", password));
      MockMvc mvc =
          MockMvcBuilders.webAppContextSetup((WebApplicationContext) app)
              .apply(springSecurity())
              .build();
      Somebody ailsa =
          new Somebody(
              jdbc.queryForObject("select id from household where demo", UUID.class), "Ailsa");
      String hot =
          jdbc.queryForObject(
              "select b.code from batch b join entry e on e.subject_id = b.id"
                  + " where e.kind = 'put-on-heat' and b.status = 'INFUSING' limit 1",
              String.class);

      List<Callable<Integer>> writers =
          IntStream.range(0, WRITERS)
              .<Callable<Integer>>mapToObj(i -> () -> reading(mvc, ailsa, hot, i))
              .toList();
      ExecutorService threads = Executors.newFixedThreadPool(WRITERS);
      try {
        for (Future<Integer> answer : threads.invokeAll(writers)) {
          assertThat(answer.get()).isEqualTo(200);
        }
      } finally {
        threads.shutdown();
      }
      assertThat(app.getBean(Rehearsal.class).run())
          .hasSizeBetween(100, 200)
          .containsKeys("/", "/bench", "/round", "/stove", "/cellar", "/plans/new", "/trials")
          .allSatisfy((path, status) -> assertThat(status).as(path).isEqualTo(200))
          .satisfies(seen -> assertThat(seen.keySet()).anyMatch(p -> p.matches("/stove/\\w{3}")))
          .satisfies(seen -> assertThat(seen.keySet()).anyMatch(p -> p.endsWith("/strain")))
          .satisfies(seen -> assertThat(seen.keySet()).anyMatch(p -> p.endsWith("/1.json")));
    }
  }

  /** Each lies far above any ceiling, so that something follows from it in the log. */
  private static int reading(MockMvc mvc, Somebody who, String code, int i) throws Exception {
    Instant at = Instant.now().minusSeconds(60L * (WRITERS - i));
    return mvc.perform(
            post("/api/v1/batches/" + code + "/readings")
                .with(authentication(AppTest.signedIn(who)))
                .with(csrf())
                .contentType("application/json")
                .content("[{\"at\":\"" + at + "\",\"celsius\":118}]"))
        .andReturn()
        .getResponse()
        .getStatus();
  }
}
