import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Somebody who keeps writing things down, as bench/hosts has it while hosts come and go: what is not answered is sent
 * again under the same key, until it is. HOSTS: BASE BATCH TOKEN FOLDER; ends when FOLDER/stop is there.
 */
class Hosts {
  private static final int HANDS = 4;
  private static final long EVERY_MS = 200;
  private static final Duration PATIENCE = Duration.ofSeconds(5);

  public static void main(String[] args) throws Exception {
    HttpClient http = HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
    URI to = URI.create(args[0] + "/api/v1/batches/" + args[1] + "/entries");
    Path folder = Path.of(args[3]);
    Set<String> acknowledged = ConcurrentHashMap.newKeySet();
    Map<String, AtomicInteger> odd = new ConcurrentHashMap<>();
    AtomicInteger tries = new AtomicInteger();
    long[] last = {System.nanoTime()};
    long[] longest = {0};
    CountDownLatch done = new CountDownLatch(HANDS);
    for (int i = 0; i < HANDS; i++) {
      new Thread(() -> {
        while (!Files.exists(folder.resolve("stop"))) {
          String key = UUID.randomUUID().toString();
          boolean answered = false;
          while (!answered && !Files.exists(folder.resolve("stop"))) {
            tries.incrementAndGet();
            String how;
            try {
              HttpRequest request = HttpRequest.newBuilder(to).timeout(PATIENCE).header("Authorization", "Bearer " + args[2]).header("Idempotency-Key", key).header("Content-Type", "application/json").POST(BodyPublishers.ofString("{\"kind\":\"note\",\"data\":{\"text\":\"" + key + "\"}}")).build();
              HttpResponse<String> answer = http.send(request, BodyHandlers.ofString());
              how = String.valueOf(answer.statusCode());
              answered = answer.statusCode() / 100 == 2;
            } catch (Exception none) {
              how = none.getClass().getSimpleName();
            }
            if (answered) {
              acknowledged.add(key);
              synchronized (last) {
                longest[0] = Math.max(longest[0], System.nanoTime() - last[0]);
                last[0] = System.nanoTime();
              }
            } else {
              odd.computeIfAbsent(how, k -> new AtomicInteger()).incrementAndGet();
            }
            pause();
          }
        }
        done.countDown();
      }).start();
    }
    done.await(2, TimeUnit.HOURS);
    Files.write(folder.resolve("acknowledged"), acknowledged);
    System.out.printf("%d tries, %d acknowledged, otherwise %s; longest without an answer %.1f s%n", tries.get(), acknowledged.size(), odd, longest[0] / 1e9);
    System.exit(0);
  }

  private static void pause() {
    try {
      Thread.sleep(EVERY_MS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
