package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** Kills the application, and then the database, in the middle of writing. */
class CrashTest {
  private static final String TOKEN = "a-token-of-the-crash-test";
  private final HttpClient http = HttpClient.newHttpClient();

  @Test
  void neitherKillingTheApplicationNorTheDatabaseLosesAnAcknowledgedEntry() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Set<String> acknowledged = ConcurrentHashMap.newKeySet();
    Process app = launch(cluster);
    try {
      int port = port(app);
      String code = chargedBatch(cluster, port);
      writeUntil(port, code, acknowledged, app::destroyForcibly);
      app.waitFor();
      assertThat(missing(cluster, acknowledged)).as("after killing the application").isEmpty();

      app = launch(cluster);
      int again = port(app);
      writeUntil(again, code, acknowledged, () -> kill(cluster));
      cluster.start();
      assertThat(missing(cluster, acknowledged)).as("after killing the database").isEmpty();
      assertThat(acknowledged).hasSizeGreaterThanOrEqualTo(60);
    } finally {
      app.destroyForcibly().waitFor();
    }
  }

  private static void kill(TestCluster cluster) {
    try {
      cluster.kill();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Three hands write; once thirty more entries are acknowledged the blow falls. */
  private void writeUntil(int port, String code, Set<String> acknowledged, Runnable blow)
      throws InterruptedException {
    CountDownLatch written = new CountDownLatch(30);
    ExecutorService hands = Executors.newFixedThreadPool(3);
    for (int hand = 0; hand < 3; hand++) {
      hands.submit(
          () -> {
            for (int i = 0; i < 2000; i++) {
              String key = UUID.randomUUID().toString();
              try {
                var answer =
                    post(
                        port,
                        "/api/v1/batches/" + code + "/entries",
                        "{\"kind\":\"note\",\"data\":{\"text\":\"" + key + "\"}}",
                        key);
                if (answer.statusCode() != 201) {
                  return;
                }
                acknowledged.add(key);
                written.countDown();
              } catch (IOException | InterruptedException e) {
                return;
              }
            }
          });
    }
    assertThat(written.await(60, TimeUnit.SECONDS)).isTrue();
    blow.run();
    hands.shutdown();
    assertThat(hands.awaitTermination(90, TimeUnit.SECONDS)).isTrue();
  }

  private HttpResponse<String> post(int port, String path, String body, String key)
      throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .header("Authorization", "Bearer " + TOKEN)
            .header("Content-Type", "application/json")
            .header("Idempotency-Key", key)
            .timeout(java.time.Duration.ofSeconds(30))
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build();
    return http.send(request, HttpResponse.BodyHandlers.ofString());
  }

  private static Process launch(TestCluster cluster) throws IOException {
    Path log = cluster.dir().resolve("app.log");
    java.nio.file.Files.deleteIfExists(log);
    ProcessBuilder builder =
        new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-cp",
            System.getProperty("java.class.path"),
            "velvetcrock.VelvetCrock",
            "--server.port=0",
            "--velvetcrock.demo=false",
            "--spring.datasource.hikari.connection-timeout=3000");
    builder.environment().put("VELVETCROCK_DB_URL", cluster.url());
    builder.environment().put("VELVETCROCK_DB_PASSWORD", cluster.password());
    return builder.redirectErrorStream(true).start();
  }

  /**
   * Reads the log until it names the port, and goes on reading so that the application never waits.
   */
  private static int port(Process app) throws IOException {
    var lines = app.inputReader();
    String line;
    while ((line = lines.readLine()) != null) {
      if (line.matches(".*Tomcat started on port \\d+.*")) {
        Thread drain = new Thread(() -> lines.lines().forEach(ignored -> {}));
        drain.setDaemon(true);
        drain.start();
        return Integer.parseInt(line.replaceAll(".*Tomcat started on port (\\d+).*", "$1"));
      }
    }
    throw new IllegalStateException("The application ended before it listened.");
  }

  private String chargedBatch(TestCluster cluster, int port) throws Exception {
    UUID household = UUID.randomUUID();
    try (Connection db = connect(cluster);
        var statement = db.createStatement()) {
      statement.execute(
          "insert into household values ('"
              + household
              + "', 'Crash', 'Europe/Oslo', 'METRIC', false, now())");
      statement.execute(
          "insert into place values (gen_random_uuid(), '"
              + household
              + "', 'Shelf', 'DARK', 17, 0)");
      statement.execute(
          "insert into api_token values (gen_random_uuid(), '"
              + household
              + "', 'crash', encode(sha256('"
              + TOKEN
              + "'), 'hex'), now(), null)");
    }
    String charged =
        """
        {"method":"COLD","herbs":[{"herb":"yarrow","part":"FLOWER","cut":"CUT","state":"DRIED","massG":{"low":30,"high":30},"waterFraction":0.1,"text":"30 g"}],
         "carriers":[{"carrier":"rapeseed","share":1,"bestBefore":"2090-01-01"}],"oilMl":{"low":400,"high":400},"oilText":"",
         "jar":{"name":"Jar","brimMl":530,"innerDiameterMm":80},"coverMm":12,"use":"SKIN","stand":{"place":"Shelf","name":"Shelf","light":"DARK"},
         "chargedOn":"2026-01-01","aboutDays":0,"takenOn":false,"cleanAndDry":true}
        """;
    var answer = post(port, "/api/v1/batches", charged, "charge");
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
    return answer.body().replaceAll(".*\"code\":\"([A-Z0-9]+)\".*", "$1");
  }

  private static Set<String> missing(TestCluster cluster, Set<String> acknowledged)
      throws Exception {
    Set<String> missing = new HashSet<>(acknowledged);
    try (Connection db = connect(cluster);
        PreparedStatement query = db.prepareStatement("select idempotency_key from entry");
        ResultSet rows = query.executeQuery()) {
      while (rows.next()) {
        missing.removeAll(List.of(rows.getString(1)));
      }
    }
    return missing;
  }

  private static Connection connect(TestCluster cluster) throws Exception {
    return DriverManager.getConnection(cluster.url(), "velvetcrock", cluster.password());
  }
}
