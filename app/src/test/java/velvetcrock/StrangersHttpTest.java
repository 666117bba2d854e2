package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.test.context.TestPropertySource;

/**
 * What a stranger sends over the wire is bounded, and a session outlives the application. In an
 * application of its own, whose doors no other test has touched.
 */
@TestPropertySource(properties = "spring.application.name=strangers")
class StrangersHttpTest extends AppTest {
  private static final int SLOW = 500;
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

  final JdbcTemplate jdbc = TestCluster.shared().owner();
  @Autowired FindByIndexNameSessionRepository<?> sessions;

  private final HttpClient http =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(10)).build();

  private HttpRequest.Builder to(int port, String path) {
    return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
        .timeout(Duration.ofSeconds(20));
  }

  private HttpResponse<String> send(HttpRequest request) throws Exception {
    return http.send(request, BodyHandlers.ofString());
  }

  private int sessions() {
    return jdbc.queryForObject("select count(*) from spring_session", Integer.class);
  }

  private static String cookies(HttpResponse<?> answer) {
    return answer.headers().allValues("set-cookie").stream()
        .map(c -> c.substring(0, c.indexOf(';')))
        .filter(c -> c.indexOf('=') < c.length() - 1)
        .collect(Collectors.joining("; "));
  }

  @Test
  void noSessionIsKeptForAStranger() throws Exception {
    int before = sessions();
    for (String path : List.of("/", "/bench?method=SPIRIT", "/sign-in", "/api", "/nowhere")) {
      HttpResponse<String> answer = send(to(port, path).GET().build());
      assertThat(answer.statusCode()).as(path).isLessThan(500);
      assertThat(cookies(answer)).as(path).doesNotContain("crock=");
    }
    assertThat(sessions()).isEqualTo(before);
  }

  /**
   * Two forms at once that both have something to tell: neither is an error, the later one stands.
   */
  @Test
  void twoAnswersOfOneSessionKeepTheSameThing() {
    keepTwice(sessions);
  }

  private static <S extends Session> void keepTwice(FindByIndexNameSessionRepository<S> kept) {
    S first = kept.createSession();
    kept.save(first);
    List<S> atOnce = List.of(kept.findById(first.getId()), kept.findById(first.getId()));
    atOnce.forEach(s -> s.setAttribute("said", "by " + atOnce.indexOf(s)));
    atOnce.forEach(kept::save);
    assertThat(kept.findById(first.getId()).<String>getAttribute("said")).isEqualTo("by 1");
    kept.deleteById(first.getId());
  }

  /** The page that was asked for is come back to; what its script asked for meanwhile is not. */
  @Test
  void onlyAPageIsComeBackTo() throws Exception {
    HttpRequest page = to(port, "/cellar").header("Accept", "text/html,*/*").GET().build();
    assertThat(cookies(send(page))).contains("REDIRECT_URI=");
    assertThat(cookies(send(to(port, "/here").header("Accept", "*/*").GET().build())))
        .doesNotContain("REDIRECT_URI=");
  }

  /** A header that anybody can write says neither who nor where anybody is. */
  @Test
  void aForwardingHeaderFromNoProxyIsNotBelieved() throws Exception {
    HttpResponse<String> answer =
        send(
            to(port, "/cellar")
                .header("X-Forwarded-Host", "elsewhere.example")
                .header("X-Forwarded-Proto", "https")
                .header("Forwarded", "host=elsewhere.example;proto=https")
                .GET()
                .build());
    assertThat(answer.statusCode()).isEqualTo(302);
    assertThat(answer.headers().firstValue("location").orElseThrow())
        .doesNotContain("elsewhere")
        .doesNotContain("https:");
  }

  @Test
  void aStrangersFileIsRefusedBeforeItComes() throws Exception {
    try (Socket line = new Socket("127.0.0.1", port)) {
      line.setSoTimeout(10_000);
      line.getOutputStream()
          .write(
              ("POST /stove/AAA/import HTTP/1.1\r\nHost: localhost\r\n"
                      + "Content-Type: multipart/form-data; boundary=x\r\n"
                      + "Content-Length: 900000000\r\n\r\n--x\r\n")
                  .getBytes(StandardCharsets.US_ASCII));
      assertThat(answered(line)).startsWith("HTTP/1.1 400");
    }
  }

  /** They trickle in, and the house is open all the same. */
  @Test
  void fiveHundredSlowBodiesDoNotCloseTheHouse() throws Exception {
    List<Socket> lines = new ArrayList<>();
    try {
      for (int i = 0; i < SLOW; i++) {
        Socket line = new Socket("127.0.0.1", port);
        lines.add(line);
        line.getOutputStream()
            .write(
                ("POST /sign-in HTTP/1.1\r\nHost: localhost\r\n"
                        + "Content-Type: application/x-www-form-urlencoded\r\n"
                        + "Content-Length: 2000\r\n\r\nl")
                    .getBytes(StandardCharsets.US_ASCII));
      }
      for (int i = 0; i < 5; i++) {
        assertThat(send(to(port, "/sign-in").GET().build()).statusCode()).isEqualTo(200);
      }
      Socket last = lines.get(SLOW - 1);
      last.setSoTimeout(10_000);
      assertThat(answered(last)).startsWith("HTTP/1.1 503");
    } finally {
      for (Socket line : lines) {
        line.close();
      }
    }
  }

  private static String answered(Socket line) throws IOException {
    InputStream in = line.getInputStream();
    return new String(in.readNBytes(12), StandardCharsets.US_ASCII);
  }

  /** Whoever signed in is signed in still when the application comes up again. */
  @Test
  void aSessionOutlivesTheApplicationAndEndsAfterNinetyDays() throws Exception {
    HttpResponse<String> door = send(to(port, "/sign-in").GET().build());
    Matcher token = TOKEN.matcher(door.body());
    assertThat(token.find()).isTrue();
    HttpResponse<String> in =
        send(
            to(port, "/demo")
                .header("Cookie", cookies(door))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(
                    BodyPublishers.ofString(
                        "_csrf="
                            + java.net.URLEncoder.encode(token.group(1), StandardCharsets.UTF_8)))
                .build());
    assertThat(in.statusCode()).isEqualTo(302);
    String cookie = cookies(in);
    assertThat(cookie).contains("crock=");
    assertThat(String.join(";", in.headers().allValues("set-cookie")))
        .contains("HttpOnly")
        .contains("Secure")
        .contains("SameSite=Lax");

    try (var again =
        new SpringApplicationBuilder(VelvetCrock.class)
            .run(
                "--server.port=0",
                "--velvetcrock.demo=true",
                "--velvetcrock.demo-probes=false",
                "--spring.datasource.url=" + TestCluster.shared().url(),
                "--spring.datasource.password=" + TestCluster.shared().password(),
                "--spring.main.banner-mode=off")) {
      int next = ((WebServerApplicationContext) again).getWebServer().getPort();
      HttpRequest cellar = to(next, "/cellar").header("Cookie", cookie).GET().build();
      assertThat(send(cellar).statusCode()).isEqualTo(200);
      jdbc.update("update spring_session set creation_time = creation_time - ?", 91L * 86_400_000);
      assertThat(send(cellar).statusCode()).isEqualTo(302);
    }
  }

  @Test
  void whatCannotBeKeptIsRefusedAtItsField() throws Exception {
    assertThat(jsonSent("{\"massG\":\"a\\u0000b\",\"waterFraction\":0.1}"))
        .contains("\"status\":400")
        .contains("massG");
    assertThat(jsonSent("{\"massG\":10,\"massG\":20,\"waterFraction\":0.1}"))
        .contains("\"status\":400")
        .contains("named twice")
        .contains("massG");
    assertThat(jsonSent("{\"text\":\"a\\u0000cup\",\"of\":\"water\"}", "measure"))
        .contains("\"status\":400")
        .contains("NUL")
        .contains("text");
  }

  private String jsonSent(String body) throws Exception {
    return jsonSent(body, "moisture");
  }

  private String jsonSent(String body, String what) throws Exception {
    return send(to(port, "/api/v1/reckon/" + what)
            .header("Content-Type", "application/json")
            .POST(BodyPublishers.ofString(body))
            .build())
        .body();
  }
}
