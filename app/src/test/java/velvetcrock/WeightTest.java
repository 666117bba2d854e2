package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.zip.GZIPOutputStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import velvetcrock.kitchen.Catalogues;

/** What comes over the wire is light: pages each time, scripts and styles once. */
class WeightTest extends AppTest {
  private static final int SHELF_BYTES = 15_000;
  private static final int PAGE_BYTES = 30_000;
  private static final int ONCE_BYTES = 60_000;
  private static final int JARS = 40;

  private final HttpClient http = HttpClient.newHttpClient();
  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Autowired Catalogues catalogues;
  @Autowired Clock clock;
  @Autowired ResourceUrlProvider files;

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  RequestMappingHandlerMapping routes;

  private static int compressed(byte[] bytes) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
      gzip.write(bytes);
    }
    return out.size();
  }

  private MockHttpServletResponse answer(Somebody who, String path) throws Exception {
    return mvc.perform(get(URI.create(path)).with(authentication(signedIn(who))))
        .andReturn()
        .getResponse();
  }

  private HttpResponse<byte[]> fetched(String path, String coding) throws Exception {
    return http.send(
        HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
            .header("Accept-Encoding", coding)
            .build(),
        HttpResponse.BodyHandlers.ofByteArray());
  }

  private static String header(HttpResponse<byte[]> answer, String name) {
    return answer.headers().firstValue(name).orElse("");
  }

  @Test
  void aShelfOfFortyJarsIsLight() throws Exception {
    ManyJars.in(this, catalogues.current(), clock, 23, 2 * JARS);
    byte[] shelf = answer(keeper, "/").getContentAsByteArray();
    int jars = Jsoup.parse(new String(shelf, StandardCharsets.UTF_8)).select("svg.jar").size();
    assertThat(jars).isGreaterThanOrEqualTo(JARS);
    assertThat(compressed(shelf) * JARS / jars).isLessThan(SHELF_BYTES);
  }

  @Test
  void everyPageIsLight() throws Exception {
    UUID demo =
        jdbc.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    Somebody ailsa = new Somebody(demo, "Ailsa");
    Real real = new Real(jdbc, demo);
    List<String> heavy = new ArrayList<>();
    int pages = 0;
    for (String path : real.looks(routes)) {
      MockHttpServletResponse answer = answer(ailsa, path);
      if (!path.startsWith("/api")
          && String.valueOf(answer.getContentType()).startsWith("text/html")) {
        pages++;
        int bytes = compressed(answer.getContentAsByteArray());
        if (bytes > PAGE_BYTES) {
          heavy.add(path + ": " + bytes);
        }
      }
    }
    assertThat(pages).isGreaterThan(60);
    assertThat(heavy).isEmpty();
  }

  /** The most that a page links is sent small, kept for a year, and never asked for again. */
  @Test
  void scriptsAndStylesAreLightAndComeOnce() throws Exception {
    assertThat(header(fetched("/sign-in", "gzip, br"), "Content-Encoding")).isEqualTo("gzip");
    String page = answer(keeper, "/stove").getContentAsString();
    int all = 0;
    for (Element link : Jsoup.parse(page).select("link[rel=stylesheet], script[src]")) {
      String named = link.hasAttr("src") ? link.attr("src") : link.attr("href");
      String path = Objects.requireNonNull(files.getForLookupPath(named));
      HttpResponse<byte[]> answer = fetched(path, "gzip, br");
      assertThat(answer.statusCode()).as(path).isEqualTo(200);
      assertThat(header(answer, "Content-Encoding")).as(path).isEqualTo("br");
      assertThat(header(answer, "Vary")).as(path).contains("Accept-Encoding");
      assertThat(header(answer, "Cache-Control"))
          .as(path)
          .contains("max-age=31536000", "immutable");
      assertThat(header(fetched(path, "gzip"), "Content-Encoding")).as(path).isEqualTo("gzip");
      all += answer.body().length;
    }
    assertThat(all).isBetween(ONCE_BYTES / 2, ONCE_BYTES);
    String unnamed = header(fetched("/assets/app.css", "gzip"), "Cache-Control");
    assertThat(unnamed).isEqualTo("max-age=3600");
  }
}
