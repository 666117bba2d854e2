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
import java.sql.ResultSet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/**
 * Ends the application, the database or both, as a power cut would, while eight hands write entries
 * and readings and send files, one packs the house and one reads the log. Nothing that was
 * acknowledged is lost, nothing is there twice or by half, and what is kept for reading is what the
 * logs say. {@code bench/crash} does it more often: {@code velvetcrock.crash} is how many rounds.
 */
class CrashTest {
  private static final int ROUNDS = Integer.getInteger("velvetcrock.crash", 3);
  private static final int CHECKED_EVERY = Integer.getInteger("velvetcrock.crash.checked", 5);
  private static final int AT_LEAST = 40;
  private static final int HANDS = 10;
  private static final String TOKEN = "a-token-of-the-crash-test";
  private static final String PASSWORD = "a kettle in the snow";

  private final HttpClient http = HttpClient.newHttpClient();
  private final Random random = new Random(21);
  private final Set<String> entries = ConcurrentHashMap.newKeySet();
  private final Set<Long> readings = ConcurrentHashMap.newKeySet();
  private final List<Caller> people = List.of(new Caller(0, "files"), new Caller(0, "packs"));
  private final AtomicLong filesTaken = new AtomicLong();
  private final AtomicLong packed = new AtomicLong();
  private final AtomicLong nextReading = new AtomicLong(1_767_400_000_000L);

  /** Files of which other readings are there than they say that they brought. */
  private static final String HALF_TAKEN =
      """
      select i.number::text from reading_import i left join reading r
        on r.batch_id = i.batch_id and r.import_number = i.number
      group by i.id, i.number, i.status, i.accepted
      having count(r.at) <> case when i.status = 'TAKEN' then i.accepted else 0 end""";

  private enum Blow {
    APPLICATION,
    DATABASE,
    BOTH
  }

  @Test
  @Timeout(value = 1, unit = TimeUnit.DAYS)
  void whateverIsKilledNothingAcknowledgedIsLostOrDoubled() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Process app = launch(cluster);
    try {
      int port = port(app);
      moveIn(port);
      String code = chargedBatch(cluster, port);
      for (int round = 1; round <= ROUNDS; round++) {
        Blow blow = round % 4 == 0 ? Blow.BOTH : round % 4 == 2 ? Blow.APPLICATION : Blow.DATABASE;
        Process falls = app;
        // Every other round the blow waits for a file and a box, so that some come to their end.
        boolean waits = round % 2 == 1;
        writeUntil(port, code, waits, () -> fall(blow, cluster, falls));
        if (blow != Blow.APPLICATION) {
          cluster.startAgain();
        }
        if (blow != Blow.DATABASE) {
          app.waitFor();
          app = launch(cluster);
          port = port(app);
          for (Caller who : people) {
            who.at(port);
          }
        }
        nothingLostOrDoubled(cluster, "round " + round + ", " + blow);
        if (round % CHECKED_EVERY == 0 || round == ROUNDS) {
          assertThat(checked(cluster)).as("round %s", round).contains(" 0 differences.");
        }
      }
      assertThat(entries).hasSizeGreaterThan(ROUNDS * 10);
      assertThat(readings).hasSizeGreaterThan(ROUNDS * 10);
      assertThat(filesTaken.get()).isPositive();
      assertThat(packed.get()).isPositive();
      System.out.println(
          ROUNDS
              + " rounds: "
              + entries.size()
              + " acknowledged entries and "
              + readings.size()
              + " readings, "
              + filesTaken
              + " files among them, none lost, none doubled; packed "
              + packed
              + " times.");
    } finally {
      app.destroyForcibly().waitFor();
    }
  }

  private static void fall(Blow blow, TestCluster cluster, Process app) {
    try {
      if (blow != Blow.DATABASE) {
        app.destroyForcibly();
      }
      if (blow != Blow.APPLICATION) {
        cluster.kill();
      }
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** All hands work; once enough is acknowledged the blow falls at some moment. */
  private void writeUntil(int port, String code, boolean waits, Runnable blow) throws Exception {
    AtomicBoolean over = new AtomicBoolean();
    CountDownLatch slow = new CountDownLatch(waits ? 2 : 0);
    long files = filesTaken.get();
    long boxes = packed.get();
    CountDownLatch acknowledged = new CountDownLatch(AT_LEAST);
    ExecutorService hands = Executors.newFixedThreadPool(HANDS);
    for (int hand = 0; hand < HANDS; hand++) {
      int kind = hand;
      hands.submit(
          () -> {
            while (!over.get()) {
              try {
                work(kind, port, code);
                acknowledged.countDown();
                boolean ended =
                    kind == 7 ? filesTaken.get() == files + 1 : packed.get() == boxes + 1;
                if ((kind == 7 || kind == 8) && ended) {
                  slow.countDown();
                }
              } catch (Exception away) {
                Thread.onSpinWait();
              }
            }
          });
    }
    assertThat(acknowledged.await(90, TimeUnit.SECONDS)).isTrue();
    assertThat(slow.await(90, TimeUnit.SECONDS)).as("a file and a box").isTrue();
    Thread.sleep(random.nextInt(200));
    blow.run();
    over.set(true);
    hands.shutdown();
    assertThat(hands.awaitTermination(90, TimeUnit.SECONDS)).isTrue();
  }

  private void work(int kind, int port, String code) throws Exception {
    String key = UUID.randomUUID().toString();
    String at = "/api/v1/batches/" + code;
    switch (kind) {
      case 0, 1, 2, 3 -> {
        String note = "{\"kind\":\"note\",\"data\":{\"text\":\"" + key + "\"}}";
        acknowledged(post(port, at + "/entries", "application/json", note, key));
        entries.add(key);
      }
      case 4, 5 -> {
        long millis = nextReading.addAndGet(1000);
        String body = "[{\"at\":\"" + Instant.ofEpochMilli(millis) + "\",\"celsius\":41}]";
        acknowledged(post(port, at + "/readings", "application/json", body, key));
        readings.add(millis);
      }
      case 6 -> {
        long first = nextReading.addAndGet(100_000) - 99_000;
        acknowledged(post(port, at + "/readings", "text/csv", csv(first), key));
        read(first);
      }
      case 7 -> sendFile(people.get(0), code);
      case 8 -> pack(people.get(1));
      default -> {
        HttpRequest log =
            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + at + "/entries"))
                .header("Authorization", "Bearer " + TOKEN)
                .timeout(java.time.Duration.ofSeconds(30))
                .build();
        acknowledged(http.send(log, HttpResponse.BodyHandlers.ofString()));
      }
    }
  }

  private static String csv(long first) {
    StringBuilder csv = new StringBuilder("time,celsius\n");
    for (int i = 0; i < 50; i++) {
      csv.append(Instant.ofEpochMilli(first + i * 1000L)).append(",40.5\n");
    }
    return csv.toString();
  }

  private void read(long first) {
    for (int i = 0; i < 50; i++) {
      readings.add(first + i * 1000L);
    }
  }

  /** A file is acknowledged when its page says that it was taken. */
  private void sendFile(Caller who, String code) throws Exception {
    long first = nextReading.addAndGet(100_000) - 99_000;
    String stove = "/stove/" + code;
    HttpResponse<String> sent = who.upload(stove, stove + "/imports", "file", csv(first));
    String report = path(sent.headers().firstValue("location").orElseThrow());
    String said = who.get(report).body();
    while (said.contains("Being read")) {
      said = who.get(report).body();
    }
    if (said.contains(">Taken</h2>")) {
      read(first);
      filesTaken.incrementAndGet();
    }
  }

  /** What was packed is whole. */
  private void pack(Caller who) throws Exception {
    who.send(new Caller.Form("/moving", "/moving/pack", "password", PASSWORD));
    String said = who.get("/moving").body();
    while (said.contains("Being packed")) {
      said = who.get("/moving").body();
    }
    if (said.contains("Save the file") && who.get("/moving/box").statusCode() == 200) {
      packed.incrementAndGet();
    }
  }

  private static String path(String address) {
    return address.replaceFirst("^https?://[^/]+", "");
  }

  /** Two of a house: one founds it, and both sign in. */
  private void moveIn(int port) throws Exception {
    for (Caller who : people) {
      who.at(port);
    }
    HttpResponse<String> founded =
        people
            .get(0)
            .send(
                new Caller.Form(
                    "/welcome",
                    "/welcome",
                    "household",
                    "Crash",
                    "zone",
                    "Europe/Oslo",
                    "kitchen",
                    "METRIC",
                    "name",
                    "Una",
                    "login",
                    "una",
                    "password",
                    PASSWORD));
    assertThat(founded.statusCode()).as(founded.body()).isEqualTo(302);
    people
        .get(1)
        .send(new Caller.Form("/sign-in", "/sign-in", "login", "una", "password", PASSWORD));
    assertThat(people.get(1).get("/moving").statusCode()).isEqualTo(200);
  }

  private static void acknowledged(HttpResponse<String> answer) {
    if (answer.statusCode() >= 300) {
      throw new IllegalStateException(answer.statusCode() + " " + answer.body());
    }
  }

  private HttpResponse<String> post(int port, String path, String type, String body, String key)
      throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .header("Authorization", "Bearer " + TOKEN)
            .header("Content-Type", type)
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
            "-XX:+UseSerialGC",
            "-Dspring.aot.enabled=" + TestCluster.processedAhead(),
            "-cp",
            System.getProperty("java.class.path"),
            "velvetcrock.VelvetCrock",
            "--server.port=0",
            "--velvetcrock.demo=false",
            "--spring.main.lazy-initialization=true",
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
    try (Connection db = connect(cluster);
        var statement = db.createStatement()) {
      String household = all(db, "select id::text from household").get(0);
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
    var answer = post(port, "/api/v1/batches", "application/json", charged, "charge");
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
    return answer.body().replaceAll(".*\"code\":\"([A-Z0-9]+)\".*", "$1");
  }

  private void nothingLostOrDoubled(TestCluster cluster, String when) throws Exception {
    try (Connection db = connect(cluster)) {
      List<String> keys = all(db, "select idempotency_key from entry");
      assertThat(keys).as(when).doesNotHaveDuplicates().containsAll(entries);
      List<String> times =
          all(db, "select (extract(epoch from at) * 1000)::bigint::text from reading");
      assertThat(new HashSet<>(times))
          .as(when)
          .hasSize(times.size())
          .containsAll(readings.stream().map(String::valueOf).toList());
      assertThat(all(db, HALF_TAKEN)).as(when).isEmpty();
    }
  }

  private static List<String> all(Connection db, String query) throws Exception {
    List<String> found = new ArrayList<>();
    try (var statement = db.createStatement();
        ResultSet rows = statement.executeQuery(query)) {
      while (rows.next()) {
        found.add(rows.getString(1));
      }
    }
    return found;
  }

  /** What bin/check would say. */
  private static String checked(TestCluster cluster) {
    return TestCluster.run(
        List.of(
            "bash",
            "-c",
            ". "
                + TestCluster.root()
                + "/bin/lib/common.sh; database_address "
                + cluster.dir()
                + "; exec 9>/dev/null; application velvetcrock --velvetcrock.check=true"));
  }

  private static Connection connect(TestCluster cluster) throws Exception {
    return DriverManager.getConnection(cluster.url(), "velvetcrock", cluster.password());
  }
}
