import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A town of households as bench/town has them live: who is up looks at pages and writes down what was done, and probes
 * read pots. Whatever is refused for want of a server is sent again, as browsers and probes of ours do; each refusal
 * counts as a failed request all the same. Run by bench/town, with the JDK alone.
 */
class Town {
  private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
  private static final int AT_ONCE = 64;
  private static final Duration PATIENCE = Duration.ofSeconds(20);

  /** What is done in a part of the day, in shares of a hundred: readings of probes, pages, notes; the rest are charges. */
  private record Hour(int readings, int pages, int notes, List<String> which) {}

  /** In the morning they go round, by day probes work, in the evening oil is made. A tenth of the pages is the kitchen’s. */
  private static final List<Hour> DAY = List.of(
      new Hour(25, 55, 20, List.of("/", "/round", "/cellar", "/drawer", "/round")),
      new Hour(70, 25, 5, List.of("/", "/stove")),
      new Hour(35, 45, 15, List.of("/bench", "/stove", "/cellar", "/", "/bench")));

  private final HttpClient http = HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).executor(Executors.newFixedThreadPool(4)).build();
  private final String base;
  private final String batch;
  private final int active;
  private final Random random = new Random(11);
  private final List<Map<String, String>> cookies = new ArrayList<>();
  private final ConcurrentLinkedQueue<long[]> asked = new ConcurrentLinkedQueue<>();
  private final Set<String> acknowledged = ConcurrentHashMap.newKeySet();
  private final Set<String> sent = ConcurrentHashMap.newKeySet();
  private final Set<String> readings = ConcurrentHashMap.newKeySet();
  private final ConcurrentHashMap<Integer, AtomicLong> moments = new ConcurrentHashMap<>();
  private final AtomicLong seenByNeighbour = new AtomicLong();
  private final ConcurrentHashMap<String, AtomicInteger> odd = new ConcurrentHashMap<>();
  private volatile long begin = System.nanoTime();
  private final String charged;

  private Town(String base, String batch, int active) throws Exception {
    this.base = base;
    this.batch = batch;
    this.active = active;
    HttpRequest log = HttpRequest.newBuilder(URI.create(base + "/api/v1/batches/" + batch + "/entries")).header("Authorization", "Bearer town-token-0").build();
    Matcher first = Pattern.compile("\"kind\":\"charged\".*?\"data\":(\\{.*?\\})(,\"replaced\"|,\"replaces\")").matcher(http.send(log, BodyHandlers.ofString()).body());
    if (!first.find()) {
      throw new IllegalStateException("no charge to do again");
    }
    charged = first.group(1);
  }

  /** BASE BATCH ACTIVE SECONDS RATE FOLDER WARM: so many seconds a day goes by uncounted, then one counts. */
  public static void main(String[] args) throws Exception {
    Town town = new Town(args[0], args[1], Integer.parseInt(args[2]));
    double rate = Double.parseDouble(args[4]);
    town.wake(Integer.parseInt(args[2]));
    town.live(Integer.parseInt(args[6]), rate);
    town.asked.clear();
    town.odd.clear();
    town.begin = System.nanoTime();
    System.out.println("awake");
    town.live(Integer.parseInt(args[3]), rate);
    town.tell(Path.of(args[5]));
    System.exit(0);
  }

  /** Each household’s keeper signs in. */
  private void wake(int households) throws Exception {
    for (int i = 0; i < households; i++) {
      cookies.add(new ConcurrentHashMap<>());
    }
    var doors = Executors.newFixedThreadPool(8);
    AtomicInteger failed = new AtomicInteger();
    for (int i = 0; i < households; i++) {
      int n = i;
      doors.execute(() -> {
        try {
          signIn(n);
        } catch (Exception e) {
          failed.incrementAndGet();
        }
      });
    }
    doors.shutdown();
    doors.awaitTermination(15, TimeUnit.MINUTES);
    if (failed.get() > 0) {
      throw new IllegalStateException(failed + " could not sign in");
    }
  }

  private void signIn(int n) throws Exception {
    HttpResponse<String> page = http.send(HttpRequest.newBuilder(URI.create(base + "/sign-in")).build(), BodyHandlers.ofString());
    keep(n, page);
    Matcher csrf = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"").matcher(page.body());
    if (!csrf.find()) {
      throw new IllegalStateException("no form");
    }
    String body = "_csrf=" + URLEncoder.encode(csrf.group(1), StandardCharsets.UTF_8) + "&login=una" + n + "&password=a+long+password";
    HttpResponse<String> in = http.send(HttpRequest.newBuilder(URI.create(base + "/sign-in")).header("Content-Type", "application/x-www-form-urlencoded").header("Cookie", cookies(n)).POST(BodyPublishers.ofString(body)).build(), BodyHandlers.ofString());
    keep(n, in);
    if (cookies.get(n).keySet().stream().noneMatch(name -> name.endsWith("crock"))) {
      throw new IllegalStateException("not in: " + in.statusCode());
    }
  }

  /** As a browser does: the door's too, by which it is with one instance. */
  private void keep(int n, HttpResponse<?> answer) {
    for (String set : answer.headers().allValues("set-cookie")) {
      String[] named = set.substring(0, set.indexOf(';')).split("=", 2);
      cookies.get(n).put(named[0], named[1]);
    }
  }

  private String cookies(int n) {
    return cookies.get(n).entrySet().stream().map(c -> c.getKey() + "=" + c.getValue()).collect(Collectors.joining("; "));
  }

  /** Many hands; what each does, and when, is settled beforehand. */
  private void live(int seconds, double rate) throws Exception {
    ScheduledExecutorService hands = Executors.newScheduledThreadPool(AT_ONCE);
    long requests = (long) (seconds * rate);
    for (long i = 0; i < requests; i++) {
      int household = random.nextInt(active);
      int share = random.nextInt(100);
      Hour hour = DAY.get((int) (i * DAY.size() / requests));
      String page = random.nextInt(10) == 0 ? "/kitchen" : hour.which().get(random.nextInt(hour.which().size()));
      hands.schedule(() -> act(household, hour, share, page), (long) (i / rate * 1000), TimeUnit.MILLISECONDS);
    }
    hands.shutdown();
    hands.awaitTermination(seconds + 120, TimeUnit.SECONDS);
  }

  private void act(int n, Hour hour, int share, String page) {
    String at = "/api/v1/batches/" + batch;
    if (share < hour.readings()) {
      double celsius = 30 + n / 1000.0;
      long moment = moment(n);
      if (write(at + "/readings", null, "[{\"at\":\"" + Instant.ofEpochMilli(moment) + "\",\"celsius\":" + celsius + "}]", n)) {
        readings.add(n + " reading-" + moment);
      }
    } else if (share < hour.readings() + hour.pages()) {
      look(n, page);
    } else if (share < hour.readings() + hour.pages() + hour.notes()) {
      keyed(at + "/entries", "{\"kind\":\"note\",\"data\":{\"text\":\"household " + n + "\"}}", n);
    } else {
      keyed("/api/v1/batches", n == 0 ? charged : ID.matcher(charged).replaceAll(id -> of(id.group(), n)), n);
    }
  }

  /** Now, in ms; of one household no two are of the same, because of a moment there is one reading. */
  private long moment(int n) {
    return moments.computeIfAbsent(n, k -> new AtomicLong()).updateAndGet(last -> Math.max(last + 1, System.currentTimeMillis()));
  }

  /** What bench/households.sql made of an id of the first household. */
  private static String of(String id, int n) {
    try {
      byte[] made = MessageDigest.getInstance("MD5").digest((id + n).getBytes(StandardCharsets.UTF_8));
      ByteBuffer bytes = ByteBuffer.wrap(made);
      return new UUID(bytes.getLong(), bytes.getLong()).toString();
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private void keyed(String path, String body, int n) {
    String key = UUID.randomUUID().toString();
    sent.add(n + " " + key);
    if (write(path, key, body, n)) {
      acknowledged.add(n + " " + key);
    }
  }

  private void look(int n, String path) {
    for (int attempt = 0; attempt < 8; attempt++) {
      HttpResponse<String> answer = ask(HttpRequest.newBuilder(URI.create(base + path)).header("Cookie", cookies(n)).build());
      if (answer != null && answer.statusCode() == 200) {
        keep(n, answer);
        if (path.equals("/kitchen") && !answer.body().contains("value=\"Town " + n + "\"")) {
          seenByNeighbour.incrementAndGet();
        }
        return;
      }
      pause(attempt);
    }
  }

  private boolean write(String path, String key, String body, int n) {
    for (int attempt = 0; attempt < 12; attempt++) {
      HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path)).header("Authorization", "Bearer town-token-" + n).header("Content-Type", "application/json").POST(BodyPublishers.ofString(body));
      if (key != null) {
        request.header("Idempotency-Key", key);
      }
      HttpResponse<String> answer = ask(request.build());
      if (answer != null && answer.statusCode() / 100 == 2) {
        return true;
      }
      pause(attempt);
    }
    return false;
  }

  private static void pause(int attempt) {
    try {
      Thread.sleep(Math.min(4000, 250L << attempt));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** One request, counted: when it was asked, how long it took, whether it was answered. */
  private HttpResponse<String> ask(HttpRequest request) {
    long from = System.nanoTime();
    HttpResponse<String> answer = null;
    try {
      answer = http.sendAsync(request, BodyHandlers.ofString()).get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
    } catch (Exception none) {
      odd.computeIfAbsent(String.valueOf(none.getCause() == null ? none.getClass().getSimpleName() : none.getCause().getClass().getSimpleName()), k -> new AtomicInteger()).incrementAndGet();
    }
    boolean good = answer != null && answer.statusCode() < 400;
    if (answer != null && !good) {
      String said = answer.body().replaceAll("(?s)<(script|style).*?</\\1>|<[^>]*>", " ").replaceAll("\\s+", " ").strip();
      System.err.printf("second %d, after %d ms, %s: %d %s%n", (from - begin) / 1_000_000_000, (System.nanoTime() - from) / 1_000_000, request.uri().getPath(), answer.statusCode(), said.substring(0, Math.min(150, said.length())));
      odd.computeIfAbsent(String.valueOf(answer.statusCode()), k -> new AtomicInteger()).incrementAndGet();
    }
    // Answered counts when it was asked, refused when it was refused: what was under way as the leader ended is of its end.
    asked.add(new long[] {((good ? from : System.nanoTime()) - begin) / 1_000_000_000, System.nanoTime() - from, good ? 1 : 0});
    return answer;
  }

  private void tell(Path folder) throws IOException {
    Files.write(folder.resolve("sent"), sent);
    Files.write(folder.resolve("acknowledged"), acknowledged);
    Files.write(folder.resolve("acknowledged"), readings, StandardOpenOption.APPEND);
    TreeMap<Long, int[]> bySecond = new TreeMap<>();
    List<Double> times = new ArrayList<>();
    long failed = 0;
    for (long[] one : asked) {
      int[] second = bySecond.computeIfAbsent(one[0], k -> new int[2]);
      second[one[2] == 1 ? 0 : 1]++;
      failed += 1 - one[2];
      if (one[2] == 1) {
        times.add(one[1] / 1e6);
      }
    }
    Collections.sort(times);
    long seconds = bySecond.lastKey() - bySecond.firstKey() + 1;
    System.out.printf("%d requests in %d s, %.1f/s answered; %d failed (%.3f %%): %s%n", asked.size(), seconds, times.size() / (double) seconds, failed, 100.0 * failed / asked.size(), odd);
    System.out.printf("answered in ms: median %.0f, 90 %% %.0f, 99 %% %.0f, longest %.0f%n", at(times, .5), at(times, .9), at(times, .99), times.get(times.size() - 1));
    System.out.printf("pages of a neighbour: %d; readings acknowledged: %d; entries acknowledged: %d of %d sent%n", seenByNeighbour.get(), readings.size(), acknowledged.size(), sent.size());
    List<String> lines = new ArrayList<>();
    bySecond.forEach((second, counts) -> {
      if (counts[1] > 0) {
        lines.add(second + " " + counts[0] + " " + counts[1]);
      }
    });
    Files.write(folder.resolve("failed-by-second"), lines);
  }

  private static double at(List<Double> sorted, double share) {
    return sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
  }
}
