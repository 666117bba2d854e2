import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Prepares and measures what bench/pages asks for; run by it, with the JDK alone. */
class Pages {
  private static final int ENTRIES_A_BATCH = 100;
  private static final int ENTRIES_OF_A_STRAINED_BATCH = 80;
  private static final int WARM_UP = 300;

  private final HttpClient http = HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER).build();
  private final String base;
  private String cookie = "";

  private Pages(String port) {
    this.base = "http://127.0.0.1:" + port;
  }

  public static void main(String[] args) throws Exception {
    Pages pages = new Pages(args[1]);
    Path session = Path.of(args[2]);
    if (args[0].equals("prepare")) {
      Files.writeString(session, pages.prepare(ENTRIES_A_BATCH));
      return;
    }
    if (args[0].equals("prepare-bottles")) {
      Files.writeString(session, pages.prepareBottles());
      return;
    }
    if (args[0].equals("prepare-products")) {
      Files.writeString(session, pages.preparePots());
      return;
    }
    if (args[0].equals("every")) {
      pages.measureEvery(session, Integer.parseInt(args[3]));
      return;
    }
    String[] kept = Files.readString(session).split("\n");
    pages.cookie = kept[0];
    if (args[0].equals("form")) {
      System.out.print(pages.sent(args[3], args[4], List.of(args).subList(5, args.length)));
      return;
    }
    int requests = Integer.parseInt(args[3]);
    if (args[0].equals("measure-bottles")) {
      pages.measureBottles(kept[1], requests);
    } else if (args[0].equals("measure-products")) {
      pages.measurePots(kept, args[4], requests);
    } else {
      pages.measure(kept[1], requests);
    }
  }

  /** Founds a household, charges one jar and logs so many entries of it; keeps session and code. */
  private String prepare(int entries) throws Exception {
    String csrf = csrf(get("/welcome"));
    form("/welcome", "_csrf", csrf, "household", "Bench", "zone", "Europe/Oslo", "kitchen", "US", "name", "Una", "login", "una", "password", "a long password");
    String bench = get("/bench");
    String day = LocalDate.now().minusDays(16).toString();
    HttpResponse<String> charged =
        form("/bench/charge", "_csrf", csrf(bench), "amount", "30 g", "herbs[0].herb", "yarrow", "herbs[0].cut", "CUT", "chargedOn", day, "bestBefore", LocalDate.now().plusMonths(9).toString(), "clean", "yes", "key", "charge");
    String batch = charged.headers().firstValue("Location").orElseThrow().replaceFirst("http://[^/]*", "");
    String page = get(batch);
    for (int i = 1; i < entries; i++) {
      String kind = i % 10 == 0 ? "note" : i % 3 == 0 ? "all-well" : "shaken";
      form(batch + "/log", "_csrf", csrf(page), "kind", kind, "text", "as it should be", "key", "entry" + i);
    }
    form("/drawer/lots", "_csrf", csrf(get("/drawer/lots/new")), "kind", "HERB", "thing", "yarrow", "state", "DRIED", "cut", "CUT", "origin", "GROWN", "harvestedOn", day, "amount", "400 g", "key", "lot");
    String load = form("/drawer/drying", "_csrf", csrf(page), "herb", "yarrow", "way", "BUNCH", "cut", "CUT", "amount", "400 g", "origin", "GROWN", "begunOn", day, "key", "load").headers().firstValue("Location").orElseThrow().replaceFirst("http://[^/]*", "");
    for (int i = 1; i <= 6; i++) {
      form(load + "/log", "_csrf", csrf(page), "what", "weighed", "amount", (400 - 45 * i) + " g", "happened", LocalDate.now().minusDays(16 - 2 * i) + "T12:30", "key", "weighed" + i);
    }
    return cookie + "\n" + batch;
  }

  /** The same, then strains it into four bottles: eighty entries in all. */
  private String prepareBottles() throws Exception {
    String kept = prepare(ENTRIES_OF_A_STRAINED_BATCH - 2);
    String batch = kept.split("\n")[1];
    entry(batch, "{\"kind\":\"strained\",\"data\":{\"oilMl\":370,\"text\":\"370 ml\",\"expression\":\"SQUEEZE\",\"predictedMl\":{\"low\":350,\"high\":372}}}");
    List<String> bottles = new ArrayList<>();
    for (char letter = 'A'; letter < 'E'; letter++) {
      bottles.add("{\"letter\":\"" + letter + "\",\"ml\":90,\"sizeMl\":100,\"place\":\"COOL\",\"glass\":\"AMBER\",\"antioxidant\":\"NONE\",\"cappedCold\":true}");
    }
    entry(batch, "{\"kind\":\"bottled\",\"data\":{\"bottles\":[" + String.join(",", bottles) + "]}}");
    return kept;
  }

  /** The same, then makes a salve of a bottle and pours it into six tins. */
  private String preparePots() throws Exception {
    String kept = prepareBottles();
    String code = kept.split("\n")[1].replace("/batches/", "");
    String csrf = csrf(get("/products/new"));
    String pot =
        form("/products", "_csrf", csrf, "making", "SALVE", "parts[0].thing", "bottle:" + code + "-A", "parts[0].amount", "80 ml", "parts[1].thing", "wax:beeswax", "parts[1].amount", "14 g", "key", "pot").headers().firstValue("Location").orElseThrow().replaceFirst("http://[^/]*", "");
    form(pot + "/log", "_csrf", csrf, "kind", "poured", "groups[0].size", "15 ml", "groups[0].count", "6", "groups[0].where", "BODY", "key", "poured");
    for (int i = 1; i <= 5; i++) {
      form(pot + "/log", "_csrf", csrf, "kind", "went", "tin", "A" + i, "fate", i < 4 ? "GIVEN" : "USED_UP", "to", i < 4 ? "Una" : "", "key", "went" + i);
    }
    return kept + "\n" + pot;
  }

  private void measurePots(String[] kept, String lot, int requests) throws Exception {
    heading(requests);
    for (String path : List.of("/products", kept[2], "/products/of/lots/" + lot, "/products/of" + kept[1], "/products/reactions", "/products/new", "/", "/round")) {
      report(path.contains(lot) ? "/products/of/lots/…" : path, requests, i -> send(request(path).GET().build()));
    }
  }

  private void entry(String batch, String json) throws Exception {
    HttpResponse<String> answer =
        send(request("/api/v1" + batch + "/entries").header("Content-Type", "application/json").header("X-CSRF-TOKEN", csrf(get(batch))).POST(HttpRequest.BodyPublishers.ofString(json)).build());
    if (answer.statusCode() != 201) {
      throw new IllegalStateException(answer.statusCode() + " " + answer.body());
    }
  }

  private void measureBottles(String batch, int requests) throws Exception {
    heading(requests);
    for (String path : List.of("/cellar", "/cellar?by=oil", "/cellar?by=herb", "/cellar?oil=olive", "/journal", "/journal?words=shaken", "/journal?words=should+shak", "/journal?words=neverwritten", "/journal?words=note&herb=heather&oil=olive", "/herbs/heather", "/cellar" + batch.replace("/batches", "") + "/A", batch, "/")) {
      report(path, requests, i -> send(request(path).GET().build()));
    }
  }

  private static void heading(int requests) {
    System.out.printf("%-44s %8s %8s %8s   (ms, %d requests each)%n", "page", "median", "p99", "max", requests);
  }

  private void measure(String batch, int requests) throws Exception {
    String csrf = csrf(get("/bench"));
    String[] weights = {"_csrf", csrf, "herbs[0].herb", "yarrow", "herbs[0].cut", "CUT", "amount", ""};
    heading(requests);
    report("Shelf", requests, i -> send(request("/").GET().build()));
    beside("Bench, a change of weight", "charge", requests, i -> { weights[7] = 20 + i % 60 + " g"; return changed("/bench/reckon", weights); });
    // Each another, of those before it too: the same want within a minute is held.
    int[] wants = {0};
    beside("Planner, a change of the want", "want", requests, i -> changed("/plans/new", "_csrf", csrf, "things[0].what", "TINS", "things[0].count", "" + (1 + wants[0] % 30), "things[0].size", (20 + wants[0]++ / 30) + " ml", "things[0].kind", "SALVE", "herb", "yarrow", "carrier", "olive", "by", LocalDate.now().plusDays(45).toString()));
    report("What-if, a slider moved", requests, i -> send(request("/plans/what-if?celsius=" + (15 + i % 80)).GET().build()));
    report("Round", requests, i -> send(request("/round").GET().build()));
    report("A year ahead", requests, i -> send(request("/drawer/ahead").GET().build()));
    report("Calendar of all", requests, i -> send(request("/calendar/all").GET().build()));
    report("Drawer", requests, i -> send(request("/drawer").GET().build()));
    report("One drawer's lots", requests, i -> send(request("/drawer/of/HERB/yarrow").GET().build()));
    report("Batch page", requests, i -> send(request(batch).GET().build()));
  }

  /**
   * Every kind of page of the demo household that links lead to, each made anew. The first time it finds and measures them and
   * writes them down; the second time it measures the same, beside what it wrote down.
   */
  private void measureEvery(Path figures, int requests) throws Exception {
    form("/demo", "_csrf", csrf(whenMade("/sign-in")));
    List<String> known = Files.exists(figures) ? Files.readAllLines(figures) : List.of();
    List<String> kept = new ArrayList<>();
    if (!known.isEmpty()) {
      System.out.printf("%-44s %8s %8s %8s %8s %8s   (ms, %d requests each, then and now)%n", "page", "median", "p99", "median", "p99", "grown", requests);
    }
    for (String line : known.isEmpty() ? found() : known) {
      String path = line.split(" ")[0];
      double[] now = times(requests, i -> send(request(path + (path.contains("?") ? "&" : "?") + "anew=" + System.nanoTime()).GET().build()));
      kept.add(path + " " + now[0] + " " + now[1]);
      if (!known.isEmpty()) {
        double[] then = Arrays.stream(line.split(" ")).skip(1).mapToDouble(Double::parseDouble).toArray();
        boolean ahead = path.startsWith("/plans/new") || path.equals("/drawer/ahead");
        boolean over = now[0] > (ahead ? 30 : 15) || now[1] > 50;
        System.out.printf("%-44s %8.1f %8.1f %8.1f %8.1f %8.2f%s%n", path, then[0], then[1], now[0], now[1], now[0] / then[0], over ? "  over" : "");
      }
    }
    if (known.isEmpty()) {
      Files.write(figures, kept);
    }
  }

  /** The page where one enters the demo, which is made while the application answers already. */
  private String whenMade(String path) throws Exception {
    String page = get(path);
    for (int seconds = 0; !page.contains("name=\"_csrf\"") && seconds < 120; seconds++) {
      Thread.sleep(1000);
      page = get(path);
    }
    return page;
  }

  /** A page of each kind, by the links of the pages. */
  private List<String> found() throws Exception {
    List<String> pages = new ArrayList<>(List.of("/"));
    List<String> kinds = new ArrayList<>();
    for (int i = 0; i < pages.size(); i++) {
      Matcher link = Pattern.compile("<a [^>]*href=\"(/[^\"#]*)").matcher(get(pages.get(i)));
      while (link.find()) {
        String path = link.group(1).replace("&amp;", "&");
        String kind = path.replaceAll("\\b[A-Z0-9]{3,7}(-[A-Z])?\\b|[0-9a-f-]{36}", "*").replaceAll("=[^&]*", "=*").replaceAll("(/(herbs|oils|of/[^/]+|by|sure/[^/]+)/)[a-z-]+", "$1*");
        if (!kinds.contains(kind) && !kind.matches(".*(export|\\.[a-z0-9]+$|/sign-).*")) {
          kinds.add(kind);
          HttpResponse<String> answer = send(request(path).GET().build());
          if (answer.statusCode() == 200 && answer.headers().firstValue("Content-Type").orElse("").startsWith("text/html")) {
            pages.add(path);
          }
        }
      }
    }
    return pages.stream().distinct().sorted().toList();
  }

  /** What a page's script sends of one of its forms as it stands, without some fields. */
  private String sent(String path, String to, List<String> without) throws Exception {
    String page = get(path);
    int begin = page.lastIndexOf("<form", page.indexOf("hx-post=\"" + to + "\""));
    String form = page.substring(begin, page.indexOf("</form>", begin));
    StringBuilder body = new StringBuilder();
    Matcher field = Pattern.compile("<input\\b[^>]*>|<select\\b.*?</select>", Pattern.DOTALL).matcher(form);
    while (field.find()) {
      String tag = field.group();
      boolean ticked = !tag.matches("(?s)<input.* type=\"(radio|checkbox)\".*") || tag.contains(" checked");
      String name = attribute(tag, "name");
      if (ticked && !name.isEmpty() && !without.contains(name)) {
        Matcher chosen = Pattern.compile("<option[^>]* selected[^>]*>").matcher(tag);
        String value = !tag.startsWith("<select") ? attribute(tag, "value") : chosen.find() ? attribute(chosen.group(), "value") : "";
        body.append(name).append('=').append(URLEncoder.encode(value, StandardCharsets.UTF_8)).append('&');
      }
    }
    return body.toString();
  }

  private static String attribute(String tag, String name) {
    Matcher value = Pattern.compile(" " + name + "=\"([^\"]*)\"").matcher(tag);
    return value.find() ? value.group(1) : "";
  }

  /** Reports a change as it is typed beside what the core alone takes for it, one and the other in turns. */
  private void beside(String name, String what, int requests, Call call) throws Exception {
    List<Double> alone = new ArrayList<>();
    report(name, requests, i -> {
      alone.add(Double.parseDouble(get("/core?what=" + what).split(" ")[0]));
      return call.make(i);
    });
    List<Double> warm = alone.subList(alone.size() - requests, alone.size()).stream().sorted().toList();
    System.out.printf(java.util.Locale.ROOT, "  the core alone %38.4f%n", warm.get(requests / 2));
  }

  /** As the page’s script sends what changed. */
  private HttpResponse<String> changed(String path, String... fields) throws Exception {
    return form(path, "HX-Request", fields);
  }

  private interface Call {
    HttpResponse<String> make(int i) throws Exception;
  }

  private static void report(String name, int requests, Call call) throws Exception {
    for (int i = 0; i < WARM_UP; i++) {
      call.make(i);
    }
    double[] times = times(requests, call);
    System.out.printf("%-44s %8.1f %8.1f %8.1f%n", name, times[0], times[1], times[2]);
  }

  /** Median, 99th percentile and longest of the server's own times, ms; a fifth as many requests go before. */
  private static double[] times(int requests, Call call) throws Exception {
    for (int i = 0; i < requests / 5; i++) {
      call.make(i);
    }
    List<Double> times = new ArrayList<>();
    for (int i = 0; i < requests; i++) {
      HttpResponse<String> answer = call.make(i);
      if (answer.statusCode() != 200) {
        throw new IllegalStateException(answer.uri() + " answered " + answer.statusCode());
      }
      times.add(Double.parseDouble(answer.headers().firstValue("Server-Timing").orElseThrow().replaceAll(".*dur=", "")));
    }
    Collections.sort(times);
    return new double[] {times.get(times.size() / 2), times.get((int) (times.size() * 0.99) - 1), times.get(times.size() - 1)};
  }

  private String get(String path) throws Exception {
    return send(request(path).GET().build()).body();
  }

  private HttpResponse<String> form(String path, String... fields) throws Exception {
    return form(path, "X-Form", fields);
  }

  private HttpResponse<String> form(String path, String header, String[] fields) throws Exception {
    StringBuilder body = new StringBuilder();
    for (int i = 0; i < fields.length; i += 2) {
      body.append(i == 0 ? "" : "&").append(fields[i]).append('=').append(URLEncoder.encode(fields[i + 1], StandardCharsets.UTF_8));
    }
    return send(request(path).header("Content-Type", "application/x-www-form-urlencoded").header(header, "true").POST(HttpRequest.BodyPublishers.ofString(body.toString())).build());
  }

  private HttpRequest.Builder request(String path) {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
    return cookie.isEmpty() ? request : request.header("Cookie", cookie);
  }

  private HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
    HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
    for (String set : answer.headers().allValues("Set-Cookie")) {
      String pair = set.split(";")[0];
      String name = pair.substring(0, pair.indexOf('=') + 1);
      String others = Arrays.stream(cookie.split("; ")).filter(one -> !one.isEmpty() && !one.startsWith(name)).collect(Collectors.joining("; "));
      cookie = pair.length() == name.length() ? others : others.isEmpty() ? pair : others + "; " + pair;
    }
    return answer;
  }

  private static String csrf(String page) {
    Matcher matcher = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"").matcher(page);
    if (!matcher.find()) {
      throw new IllegalStateException("No form on this page: " + page.substring(0, Math.min(400, page.length())));
    }
    return matcher.group(1);
  }
}
