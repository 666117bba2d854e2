package velvetcrock.demo;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Queue;
import org.jsoup.Connection.Method;
import org.jsoup.Connection.Response;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Goes through the whole house once, as a visitor of the demo by its own door, so that everything
 * pages need has been at work: a start that keeps its classes keeps those of pages too.
 */
@Component
public class Rehearsal {
  /** Of pages that differ in whose they are alone: one jar is not made like the other. */
  private static final int OF_A_KIND = 2;

  private static final int PATIENCE_MS = 60_000;

  private final Environment surroundings;

  Rehearsal(Environment surroundings) {
    this.surroundings = surroundings;
  }

  /**
   * Looks at what pages lead to, a few of each kind, beginning at the shelf.
   *
   * @return what was looked at, in that order, and the HTTP status of each
   */
  public Map<String, Integer> run() {
    String door = "http://localhost:" + surroundings.getRequiredProperty("local.server.port");
    Visitor visitor = new Visitor(door, new HashMap<>());
    try {
      Document outside = visitor.goesTo("/sign-in", Map.of(), Method.GET).parse();
      String token = outside.select("form[action=/demo] [name=_csrf]").val();
      visitor.goesTo("/demo", Map.of("_csrf", token), Method.POST);
      return lookAround(visitor);
    } catch (IOException e) {
      throw new IllegalStateException("The rehearsal was broken off.", e);
    }
  }

  /** With its cookies kept by hand: those are for safe connections, and this one needs none. */
  private record Visitor(String door, Map<String, String> cookies) {
    Response goesTo(String path, Map<String, String> form, Method method) throws IOException {
      Response answer =
          Jsoup.connect(door + path)
              .method(method)
              .data(form)
              .cookies(cookies)
              .timeout(PATIENCE_MS)
              .ignoreContentType(true)
              .ignoreHttpErrors(true)
              .execute();
      cookies.putAll(answer.cookies());
      return answer;
    }
  }

  private static Map<String, Integer> lookAround(Visitor visitor) throws IOException {
    Map<String, Integer> seen = new LinkedHashMap<>();
    Map<String, Integer> ofKind = new HashMap<>();
    Queue<String> ahead = new ArrayDeque<>();
    ahead.add("/");
    while (!ahead.isEmpty()) {
      String path = ahead.remove();
      if (seen.containsKey(path) || ofKind.merge(kind(path), 1, Integer::sum) > OF_A_KIND) {
        continue;
      }
      Response answer = visitor.goesTo(path, Map.of(), Method.GET);
      seen.put(path, answer.statusCode());
      String type = answer.contentType();
      if (type != null && type.startsWith("text/html")) {
        Document page = answer.parse();
        page.select("[href^=/]").eachAttr("href").forEach(link -> ahead.add(bare(link)));
        ahead.addAll(page.select("[src^=/]").eachAttr("src"));
      }
    }
    return seen;
  }

  private static String bare(String link) {
    int fragment = link.indexOf('#');
    return fragment < 0 ? link : link.substring(0, fragment);
  }

  /** Codes and keys have digits or capitals; a thing of the catalogue comes after what it is. */
  private static String kind(String path) {
    return path.replaceAll("(?<=/[A-Z_]{3,20}/)[^/?]+", "*")
        .replaceAll("(?<=[/=])[^/?&=]*[0-9A-Z%][^/?&=]*", "*");
  }
}
