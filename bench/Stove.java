import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Measures what bench/stove asks for; run by it, with the JDK alone. */
class Stove {
  private static final int PROBES = 50;
  private static final int BROWSERS = 20;
  private static final int WARM_UP = 40;
  private static final int PAGES = 100;

  private final HttpClient http =
      HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER).build();
  private final String base;
  private String here = "";
  private String elsewhere = "";
  private String cookie = "";
  private String csrf = "";

  /**
   * A port on loopback; or the door of several instances, the one that readings are posted to, and the one whose pages
   * are looked at: http://door,one,two.
   */
  private Stove(String where) {
    String[] parts = where.split(",");
    base = where.contains("://") ? parts[0] : "http://127.0.0.1:" + where;
    if (parts.length == 3) {
      here = "instance=" + parts[1];
      elsewhere = "; instance=" + parts[2];
    }
  }

  public static void main(String[] args) throws Exception {
    if (args[0].equals("rows")) {
      rows(Path.of(args[1]), Integer.parseInt(args[2]));
      return;
    }
    Stove stove = new Stove(args[1]);
    Path session = Path.of(args[2]);
    switch (args[0]) {
      case "prepare" -> Files.writeString(session, stove.prepare());
      case "charges" -> stove.restored(session).charges(Integer.parseInt(args[3]));
      case "import" -> stove.restored(session).load(Path.of(args[3]));
      case "undo" -> stove.restored(session).undo();
      case "stream" -> stove.restored(session).stream(Path.of(args[3]));
      case "opened" -> stove.restored(session).opened(args[3]);
      case "page" -> stove.restored(session).pages();
      case "probes" -> stove.restored(session).probes(Integer.parseInt(args[3]));
      case "writers" -> stove.restored(session).writers(Integer.parseInt(args[3]), Integer.parseInt(args[4]));
      default -> throw new IllegalArgumentException(args[0]);
    }
  }

  /** Who looks at a page again and again looks at it for so long. */
  private static final int PAUSE_MS = 300;

  /** Many write readings at once, each as fast as it is answered, while one looks at the shelf. */
  private void writers(int writers, int seconds) throws Exception {
    List<Double> alone = shelf(seconds / 3);
    ConcurrentLinkedQueue<Double> answers = new ConcurrentLinkedQueue<>();
    AtomicLong next = new AtomicLong(Instant.now().minusSeconds(1_000_000).toEpochMilli());
    Map<Integer, AtomicLong> odd = new ConcurrentHashMap<>();
    long until = System.nanoTime() + seconds * 1_000_000_000L;
    CountDownLatch done = new CountDownLatch(writers);
    for (int i = 0; i < writers; i++) {
      new Thread(() -> {
        try {
          while (System.nanoTime() < until) {
            String body = "[{\"at\":\"" + Instant.ofEpochMilli(next.addAndGet(10)) + "\",\"celsius\":44}]";
            long begin = System.nanoTime();
            int status = http.send(HttpRequest.newBuilder(URI.create(base + "/api/v1/batches/" + batch + "/readings")).header("Authorization", "Bearer " + token).header("Content-Type", "application/json").POST(HttpRequest.BodyPublishers.ofString(body)).build(), HttpResponse.BodyHandlers.discarding()).statusCode();
            answers.add((System.nanoTime() - begin) / 1e6);
            if (status != 200) {
              odd.computeIfAbsent(status, code -> new AtomicLong()).incrementAndGet();
            }
          }
        } catch (IOException | InterruptedException e) {
          odd.computeIfAbsent(-1, code -> new AtomicLong()).incrementAndGet();
        }
        done.countDown();
      }).start();
    }
    List<Double> meanwhile = shelf(seconds);
    done.await();
    List<Double> all = new ArrayList<>(answers);
    System.out.printf("%d writers for %d s: %d readings, median %.0f ms, 99 %% within %.0f ms, answered otherwise than 200: %s%n", writers, seconds, all.size(), at(all, 0.5), at(all, 0.99), odd);
    System.out.printf("the shelf: median %.1f ms alone, %.1f ms meanwhile, %.1f times as long%n", at(alone, 0.5), at(meanwhile, 0.5), at(meanwhile, 0.5) / at(alone, 0.5));
  }

  private List<Double> shelf(int seconds) throws Exception {
    List<Double> times = new ArrayList<>();
    long until = System.nanoTime() + seconds * 1_000_000_000L;
    while (System.nanoTime() < until) {
      long begin = System.nanoTime();
      get("/");
      times.add((System.nanoTime() - begin) / 1e6);
      Thread.sleep(PAUSE_MS);
    }
    return times.subList(Math.min(times.size() / 4, times.size() - 1), times.size());
  }

  private static double at(List<Double> times, double share) {
    List<Double> sorted = new ArrayList<>(times);
    Collections.sort(sorted);
    return sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
  }

  /** A logger's file: a reading a second. */
  private static void rows(Path file, int count) throws IOException {
    Random noise = new Random(1);
    Instant at = Instant.now().minusSeconds(count + 60L).truncatedTo(java.time.temporal.ChronoUnit.SECONDS);
    try (BufferedWriter out = Files.newBufferedWriter(file)) {
      out.write("time,celsius\n");
      for (int i = 0; i < count; i++) {
        out.write(at.plusSeconds(i) + "," + Math.round(100 * (44 + Math.sin(i / 300.0) * 3 + noise.nextGaussian() * 0.2)) / 100.0 + "\n");
      }
    }
  }

  private Stove restored(Path session) throws IOException {
    String[] kept = Files.readString(session).split("\n");
    cookie = kept[0];
    batch = kept[1];
    token = kept[2];
    return this;
  }

  private String batch = "";
  private String token = "";

  private String prepare() throws Exception {
    csrf = csrf(get("/welcome"));
    form("/welcome", "household", "Bench", "zone", "Europe/Oslo", "kitchen", "METRIC", "name", "Una", "login", "una", "password", "a long password");
    batch = charge("bench");
    csrf = csrf(get("/people"));
    form("/people/tokens", "tokenName", "probes");
    Matcher secret = Pattern.compile("id=\"secret\"[^>]*value=\"([^\"]+)\"").matcher(get("/people"));
    if (!secret.find()) {
      throw new IllegalStateException("No token was shown.");
    }
    return cookie + "\n" + batch + "\n" + secret.group(1);
  }

  /** So many more jars on the shelf. */
  private void charges(int more) throws Exception {
    for (int i = 0; i < more; i++) {
      charge("jar" + i);
    }
  }

  private String charge(String key) throws Exception {
    csrf = csrf(get("/bench"));
    HttpResponse<String> charged =
        form("/bench/charge", "amount", "50 g", "herbs[0].herb", "rosemary", "herbs[0].cut", "CUT", "method", "WARM", "chargedOn", LocalDate.now().minusDays(20).toString(), "bestBefore", LocalDate.now().plusMonths(9).toString(), "clean", "yes", "key", key);
    return charged.headers().firstValue("Location").orElseThrow().replaceFirst(".*/", "");
  }

  /** Sends a file and waits until it is taken; prints the seconds that took. */
  private void load(Path file) throws Exception {
    csrf = csrf(get("/stove/" + batch));
    String boundary = UUID.randomUUID().toString();
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + csrf + "\r\n--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"bench.csv\"\r\nContent-Type: text/csv\r\n\r\n").getBytes(StandardCharsets.UTF_8));
    body.writeBytes(Files.readAllBytes(file));
    body.writeBytes(("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
    byte[] bytes = body.toByteArray();
    long begin = System.nanoTime();
    HttpResponse<String> sent = send(request("/stove/" + batch + "/imports").header("Content-Type", "multipart/form-data; boundary=" + boundary).POST(HttpRequest.BodyPublishers.ofByteArray(bytes)).build());
    String report = sent.headers().firstValue("Location").orElseThrow(() -> new IllegalStateException("answered " + sent.statusCode())).replaceFirst("http://[^/]*", "");
    String page = get(report);
    while (page.contains("Being read")) {
      Thread.sleep(20);
      page = get(report);
    }
    double seconds = (System.nanoTime() - begin) / 1e9;
    if (!page.contains("<h2>Taken</h2>")) {
      throw new IllegalStateException("Not taken: " + page.replaceAll("(?s).*<main", "<main"));
    }
    System.out.printf("%.3f%n", seconds);
  }

  /** Sends the same as a stream of JSON; prints the seconds until it is answered. */
  private void stream(Path file) throws Exception {
    long begin = System.nanoTime();
    HttpResponse<String> answer = http.send(HttpRequest.newBuilder(URI.create(base + "/api/v1/batches/" + batch + "/readings")).header("Authorization", "Bearer " + token).header("Content-Type", "application/x-ndjson").POST(HttpRequest.BodyPublishers.ofFile(file)).build(), HttpResponse.BodyHandlers.ofString());
    double seconds = (System.nanoTime() - begin) / 1e9;
    if (answer.statusCode() != 200 || answer.body().contains("\"accepted\":0")) {
      throw new IllegalStateException("Not taken: " + answer.statusCode() + " " + answer.body());
    }
    System.out.printf("%.3f%n", seconds);
  }

  /** The first look at the pot, beside a page of the same instance that has nothing to do with it. */
  private void opened(String when) throws Exception {
    for (String path : List.of("/kitchen", "/stove/" + batch, "/stove/" + batch)) {
      long begin = System.nanoTime();
      HttpResponse<String> answer = send(request(path).GET().build());
      if (answer.statusCode() != 200) {
        throw new IllegalStateException(path + " answered " + answer.statusCode());
      }
      System.out.printf("%s: %s in %.0f ms%n", when, path, (System.nanoTime() - begin) / 1e6);
    }
  }

  private void undo() throws Exception {
    String page = get("/stove/" + batch);
    csrf = csrf(page);
    Matcher latest = Pattern.compile("/imports/([0-9a-f-]{36})").matcher(page);
    latest.find();
    form("/stove/" + batch + "/imports/" + latest.group(1) + "/undo");
  }

  private void pages() throws Exception {
    System.out.printf("%-28s %8s %8s %8s   (ms, %d requests each)%n", "page", "median", "p99", "max", PAGES);
    report("The pot's page", "/stove/" + batch);
    report("Its trace, 700 columns", "/stove/" + batch + "/trace?columns=700");
    report("The stove", "/stove");
  }

  private void report(String name, String path) throws Exception {
    List<Double> times = new ArrayList<>();
    for (int i = 0; i < WARM_UP + PAGES; i++) {
      HttpResponse<String> answer = send(request(path).GET().build());
      if (answer.statusCode() != 200) {
        throw new IllegalStateException(name + " answered " + answer.statusCode());
      }
      if (i >= WARM_UP) {
        times.add(Double.parseDouble(answer.headers().firstValue("Server-Timing").orElseThrow().replaceAll(".*dur=", "")));
      }
    }
    line(name, times);
  }

  private static void line(String name, List<Double> times) {
    Collections.sort(times);
    System.out.printf("%-28s %8.1f %8.1f %8.1f%n", name, times.get(times.size() / 2), times.get((int) (times.size() * 0.99) - 1), times.get(times.size() - 1));
  }

  /** A reading a second from each of fifty pots while twenty pages listen. */
  private void probes(int seconds) throws Exception {
    List<String> codes = new ArrayList<>();
    for (int i = 0; i < PROBES; i++) {
      codes.add(charge("probe" + i));
    }
    Map<String, Long> posted = new ConcurrentHashMap<>();
    ConcurrentLinkedQueue<Double> latencies = new ConcurrentLinkedQueue<>();
    AtomicLong accepted = new AtomicLong();
    AtomicLong failed = new AtomicLong();
    List<Map<String, Long>> seen = new ArrayList<>();
    CountDownLatch listening = new CountDownLatch(BROWSERS);
    for (int i = 0; i < BROWSERS; i++) {
      Map<String, Long> last = new ConcurrentHashMap<>();
      seen.add(last);
      Thread browser = new Thread(() -> listen(posted, latencies, last, listening));
      browser.setDaemon(true);
      browser.start();
    }
    listening.await();
    ScheduledExecutorService probes = Executors.newScheduledThreadPool(16);
    ConcurrentHashMap<String, Long> lastPosted = new ConcurrentHashMap<>();
    Random start = new Random(3);
    AtomicLong left = new AtomicLong((long) PROBES * seconds);
    for (String code : codes) {
      AtomicLong count = new AtomicLong();
      probes.scheduleAtFixedRate(
          () -> {
            if (count.getAndIncrement() >= seconds) {
              return;
            }
            long millis = System.currentTimeMillis();
            posted.put(code + millis, System.nanoTime());
            lastPosted.merge(code, millis, Math::max);
            try {
              HttpResponse<String> answer =
                  http.send(
                      HttpRequest.newBuilder(URI.create(base + "/api/v1/batches/" + code + "/readings"))
                          .header("Authorization", "Bearer " + token)
                          .header("Cookie", here)
                          .header("Content-Type", "application/json")
                          .POST(HttpRequest.BodyPublishers.ofString("[{\"at\":\"" + Instant.ofEpochMilli(millis) + "\",\"celsius\":" + (43 + millis % 1000 / 1000.0) + "}]"))
                          .build(),
                      HttpResponse.BodyHandlers.ofString());
              if (answer.statusCode() == 200 && answer.body().contains("\"accepted\":1")) {
                accepted.incrementAndGet();
              } else {
                failed.incrementAndGet();
              }
            } catch (IOException | InterruptedException e) {
              failed.incrementAndGet();
            }
            left.decrementAndGet();
          },
          start.nextInt(1000),
          1000,
          TimeUnit.MILLISECONDS);
    }
    while (left.get() > 0) {
      Thread.sleep(500);
    }
    Thread.sleep(2000);
    probes.shutdownNow();
    long behind = 0;
    for (Map<String, Long> last : seen) {
      behind += codes.stream().filter(c -> !lastPosted.get(c).equals(last.get(c))).count();
    }
    List<Double> times = new ArrayList<>(latencies);
    System.out.printf("%d probes, %d browsers, %d s: %d posted, %d accepted, %d failed%n", PROBES, BROWSERS, seconds, (long) PROBES * seconds, accepted.get(), failed.get());
    System.out.printf("readings seen on a screen: %d of %d; pots whose last reading a browser missed: %d%n", times.size(), accepted.get() * BROWSERS, behind);
    line("from post to screen", times);
  }

  private void listen(Map<String, Long> posted, ConcurrentLinkedQueue<Double> latencies, Map<String, Long> last, CountDownLatch listening) {
    Pattern row = Pattern.compile("\"code\":\"([A-Z0-9]+)\"|\"lastAt\":(\\d+)");
    try {
      HttpResponse<java.io.InputStream> answer = http.send(HttpRequest.newBuilder(URI.create(base + "/stove/live")).header("Cookie", elsewhere.isEmpty() ? cookie : cookie.replaceAll("(; )?instance=[^;]*", "") + elsewhere).GET().build(), HttpResponse.BodyHandlers.ofInputStream());
      try (BufferedReader lines = new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8))) {
        String code = "";
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
          if (!line.startsWith("data:")) {
            continue;
          }
          listening.countDown();
          long now = System.nanoTime();
          Matcher matcher = row.matcher(line);
          while (matcher.find()) {
            if (matcher.group(1) != null) {
              code = matcher.group(1);
            } else {
              long at = Long.parseLong(matcher.group(2));
              Long before = last.put(code, at);
              Long sent = posted.get(code + at);
              if (sent != null && (before == null || before != at)) {
                latencies.add((now - sent) / 1e6);
              }
            }
          }
        }
      }
    } catch (IOException | InterruptedException e) {
      System.err.println("A browser was cut off: " + e.getMessage());
    }
  }

  private String get(String path) throws Exception {
    return send(request(path).GET().build()).body();
  }

  private HttpResponse<String> form(String path, String... fields) throws Exception {
    StringBuilder body = new StringBuilder("_csrf=" + URLEncoder.encode(csrf, StandardCharsets.UTF_8));
    for (int i = 0; i < fields.length; i += 2) {
      body.append("&").append(URLEncoder.encode(fields[i], StandardCharsets.UTF_8)).append('=').append(URLEncoder.encode(fields[i + 1], StandardCharsets.UTF_8));
    }
    return send(request(path).header("Content-Type", "application/x-www-form-urlencoded").POST(HttpRequest.BodyPublishers.ofString(body.toString())).build());
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
