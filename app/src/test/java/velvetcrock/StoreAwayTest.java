package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import com.zaxxer.hikari.HikariDataSource;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.time.Instant;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.web.StoreTrouble;

/** The database goes away under the application, which says so, and comes back by itself. */
class StoreAwayTest {
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private final HttpClient http = HttpClient.newHttpClient();
  private int port;

  private HttpResponse<String> get(String path) throws Exception {
    return http.send(
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .timeout(PATIENCE)
            .GET()
            .build(),
        BodyHandlers.ofString());
  }

  /** Asks until it is answered so. */
  private HttpResponse<String> until(String path, Predicate<HttpResponse<String>> so)
      throws Exception {
    Instant end = Instant.now().plus(PATIENCE);
    HttpResponse<String> answer = get(path);
    while (!so.test(answer)) {
      assertThat(Instant.now()).as(path + " " + answer.statusCode()).isBefore(end);
      answer = get(path);
    }
    return answer;
  }

  /** What fails then is the rollback, over a line that the pool gave up and nobody else lost. */
  @Test
  void whatWasBeingWrittenAsALineBrokeFailedForThatThoughItCouldNotBeRolledBack() {
    TestCluster cluster = TestCluster.shared();
    try (HikariDataSource pool = new HikariDataSource()) {
      pool.setJdbcUrl(cluster.url());
      pool.setUsername("velvetcrock");
      pool.setPassword(cluster.password());
      TransactionTemplate writing = new TransactionTemplate(new JdbcTransactionManager(pool));
      String breaks = "select pg_terminate_backend(pg_backend_pid())";

      Throwable failed =
          catchThrowable(
              () -> writing.executeWithoutResult(s -> new JdbcTemplate(pool).execute(breaks)));

      assertThat(failed)
          .isInstanceOf(TransactionSystemException.class)
          .hasRootCauseMessage("Connection is closed");
      assertThat(StoreTrouble.of(failed)).hasValue(StoreTrouble.AWAY);
    }
  }

  @Test
  void pagesSayThatItIsAwayAndGoOnOnceItIsBack() throws Exception {
    TestCluster cluster = TestCluster.durable();
    try (var app =
        new SpringApplicationBuilder(VelvetCrock.class)
            .run(
                "--server.port=0",
                "--spring.datasource.url=" + cluster.url(),
                "--spring.datasource.password=" + cluster.password(),
                "--spring.main.banner-mode=off")) {
      port = ((WebServerApplicationContext) app).getWebServer().getPort();
      assertThat(get("/sign-in").statusCode()).isEqualTo(200);
      until("/actuator/health/readiness", a -> a.statusCode() == 200);

      cluster.kill();

      HttpResponse<String> page = until("/sign-in", a -> a.statusCode() == 503);
      assertThat(page.body()).contains("The kitchen’s store is away").contains("refresh");
      assertThat(page.headers().firstValue("retry-after")).contains("5");
      assertThat(get("/api/v1/batches").headers().firstValue("content-type").orElseThrow())
          .startsWith("application/problem+json");
      assertThat(get("/assets/app.css").statusCode()).isEqualTo(200);
      assertThat(get("/actuator/health/readiness").statusCode()).isEqualTo(503);
      assertThat(get("/ready").statusCode()).as("what a balancer asks").isEqualTo(503);
      assertThat(get("/actuator/health/liveness").statusCode()).isEqualTo(200);

      cluster.startAgain();

      until("/sign-in", a -> a.statusCode() == 200);
      until("/actuator/health/readiness", a -> a.statusCode() == 200);
    } finally {
      cluster.discard();
    }
  }
}
