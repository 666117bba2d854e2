package velvetcrock.probe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.heat.Appliance;

/** The probe against a small server that writes down what it is sent. */
class ProbeTest {
  private static final Pattern READING =
      Pattern.compile("\\{\"at\":\"([^\"]+)\",\"celsius\":([-0-9.]+)}");

  private HttpServer server;
  private final List<String> bodies = new ArrayList<>();
  private String authorization = "";
  private int failures;
  private int answer = 200;

  @BeforeEach
  void listen() throws IOException {
    server = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
    server.createContext(
        "/api/v1/batches/K7M/readings",
        exchange -> {
          String body =
              new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
          authorization = exchange.getRequestHeaders().getFirst("Authorization");
          int code = failures-- > 0 ? 503 : answer;
          if (code == 200) {
            bodies.add(body);
          }
          exchange.sendResponseHeaders(code, -1);
          exchange.close();
        });
    server.start();
  }

  @AfterEach
  void hangUp() {
    server.stop(0);
  }

  @Test
  void aFastProbeCatchesUpWithNowAndSendsEverySingleReading() throws Exception {
    long sent = probe("--speed", "3600", "--back", "1", "--every", "20", "--count", "150").run();

    List<double[]> readings = readings();
    assertThat(sent).isEqualTo(150);
    assertThat(readings).hasSize(150);
    for (int i = 1; i < readings.size(); i++) {
      assertThat(readings.get(i)[0] - readings.get(i - 1)[0]).isEqualTo(20_000);
    }
    assertThat(readings.get(149)[0]).isLessThanOrEqualTo(Instant.now().toEpochMilli());
    assertThat(readings.get(149)[1]).isGreaterThan(readings.get(0)[1] + 15);
    assertThat(authorization).isEqualTo("Bearer secret");
  }

  @Test
  void whatIsNotHeardIsKeptAndSentLater() throws Exception {
    failures = 2;
    ByteArrayOutputStream said = new ByteArrayOutputStream();
    Probe probe =
        new Probe(
            options("--speed", "3600", "--back", "1", "--every", "60", "--count", "30"),
            new PrintStream(said, true, StandardCharsets.UTF_8));
    assertThat(probe.run()).isEqualTo(30);
    assertThat(readings()).hasSize(30);
    assertThat(said.toString(StandardCharsets.UTF_8)).contains("kept").contains("Heard again");
  }

  @Test
  void whatIsRefusedForGoodEndsIt() {
    answer = 401;
    assertThatThrownBy(() -> probe("--count", "5", "--every", "0.1").run())
        .hasMessageContaining("401");
  }

  @Test
  void itsKnobCanBeTurned() throws Exception {
    Probe probe = probe("--speed", "3600", "--back", "2", "--every", "60", "--count", "60");
    probe.turn("no such setting");
    probe.run();
    assertThat(readings()).allSatisfy(r -> assertThat(r[1]).isBetween(18.0, 22.0));
  }

  @ParameterizedTest
  @CsvSource({
    "--speed,4000,--speed wants",
    "--speed,fast,--speed wants",
    "--every,0,--every wants",
    "--appliance,toaster,no appliance",
    "--setting,blazing,has no",
    "--colour,red,not understood"
  })
  void whatIsWrongIsSaid(String name, String value, String message) {
    assertThatThrownBy(() -> options(name, value)).hasMessageContaining(message);
  }

  @Test
  void aTokenAndABatchAreNeeded() {
    assertThatThrownBy(() -> Options.of(new String[] {"--batch", "K7M"}, null))
        .hasMessageContaining("needed");
    assertThatThrownBy(() -> Options.of(new String[] {"--token"}, null))
        .hasMessageContaining("not understood");
    assertThat(Options.of(new String[] {"--batch", "K7M"}, "from outside").token())
        .isEqualTo("from outside");
  }

  @ParameterizedTest
  @ValueSource(strings = {"gas-ring", "electric-plate", "slow-cooker", "sunny-window", "cupboard"})
  void everyApplianceBeginsOnItsLowestSetting(String name) {
    Options options = options("--appliance", name);
    assertThat(options.setting()).isEqualTo(options.appliance().settings().get(0).name());
    assertThat(options.appliance()).isNotNull().isInstanceOf(Appliance.class);
  }

  private Probe probe(String... words) {
    return new Probe(options(words), System.out);
  }

  private Options options(String... words) {
    List<String> all =
        new ArrayList<>(
            List.of(
                "--batch",
                "K7M",
                "--token",
                "secret",
                "--url",
                "http://127.0.0.1:" + server.getAddress().getPort()));
    all.addAll(List.of(words));
    return Options.of(all.toArray(String[]::new), null);
  }

  private List<double[]> readings() {
    List<double[]> readings = new ArrayList<>();
    for (String body : bodies) {
      Matcher matcher = READING.matcher(body);
      while (matcher.find()) {
        readings.add(
            new double[] {
              Instant.parse(matcher.group(1)).toEpochMilli(), Double.parseDouble(matcher.group(2))
            });
      }
    }
    return readings;
  }
}
