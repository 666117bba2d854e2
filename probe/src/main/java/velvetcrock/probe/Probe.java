package velvetcrock.probe;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Scanner;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.ThermalPot;

/**
 * A simulated thermometer in a simulated pot. What cannot be sent is kept and sent later, as a real
 * probe with a memory would; the same reading twice does no harm.
 */
public final class Probe {
  private static final double ROOM_C = 20;
  private static final Duration TICK = Duration.ofMillis(200);
  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final int MOST_A_MESSAGE = 2000;
  private static final int MOST_KEPT = 200_000;
  private static final int OK = 200;
  private static final int REFUSED = 400;
  private static final int SERVER_FAILS = 500;

  private final Options options;
  private final PrintStream out;
  private final ThermalPot pot;
  private final Random noise = new Random();
  private final HttpClient http;
  private final Deque<String> unsent = new ArrayDeque<>();
  private Instant clock;
  private long taken;
  private long sent;
  private boolean quiet;

  /**
   * A probe that has not begun.
   *
   * @param out where it says what it does
   */
  public Probe(Options options, PrintStream out) {
    this.options = options;
    this.out = out;
    this.http = client(options.trust());
    this.pot = new ThermalPot(options.appliance(), ROOM_C);
    this.pot.turn(options.appliance().setting(options.setting()));
    this.pot.lid(options.lid());
    this.clock = Instant.now().minus(options.back());
    this.pot.startAt(
        clock.atZone(java.time.ZoneId.systemDefault()).toLocalTime().toSecondOfDay() / 3600.0);
  }

  /** One that trusts the house's own authority, where a file of it is given. */
  private static HttpClient client(@Nullable Path trust) {
    HttpClient.Builder client = HttpClient.newBuilder().connectTimeout(PATIENCE);
    if (trust == null) {
      return client.build();
    }
    try (InputStream in = Files.newInputStream(trust)) {
      KeyStore known = KeyStore.getInstance(KeyStore.getDefaultType());
      known.load(null, null);
      known.setCertificateEntry(
          "house", CertificateFactory.getInstance("X.509").generateCertificate(in));
      TrustManagerFactory trusting =
          TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
      trusting.init(known);
      SSLContext context = SSLContext.getInstance("TLS");
      context.init(null, trusting.getTrustManagers(), null);
      return client.sslContext(context).build();
    } catch (IOException | GeneralSecurityException e) {
      throw new IllegalArgumentException(trust + " is no certificate: " + e.getMessage(), e);
    }
  }

  private String path() {
    return options.batch().isEmpty()
        ? "/api/v1/thermometer/readings"
        : "/api/v1/batches/" + options.batch() + "/readings";
  }

  private String body(List<String> portion) {
    String readings = "[" + String.join(",", portion) + "]";
    return options.batch().isEmpty() ? "{\"readings\":" + readings + "}" : readings;
  }

  /** Runs the command. */
  public static void main(String[] words) throws InterruptedException {
    try {
      Probe probe = new Probe(Options.of(words, System.getenv("VELVETCROCK_TOKEN")), System.out);
      Thread knob = new Thread(probe::listen, "knob");
      knob.setDaemon(true);
      knob.start();
      probe.run();
    } catch (IllegalArgumentException wrong) {
      System.err.println(wrong.getMessage());
      System.exit(2);
    }
  }

  /** Turns the knob to whatever is typed. */
  private void listen() {
    try (Scanner typed = new Scanner(System.in)) {
      while (typed.hasNextLine()) {
        String word = typed.nextLine().strip();
        if (word.equals("lid")) {
          turnLid();
        } else {
          turn(word);
        }
      }
    }
  }

  /** Puts the lid on, or takes it off. */
  public synchronized void turnLid() {
    pot.lid(!pot.lidded());
    out.println("The lid is " + (pot.lidded() ? "on." : "off."));
  }

  /** Turns the knob; to off where there is no such setting. */
  public synchronized void turn(String setting) {
    pot.turn(options.appliance().setting(setting));
    out.println("The knob is at " + pot.setting().name() + ".");
  }

  /**
   * Runs until its count is reached and all is sent, or for ever.
   *
   * @return how many readings were sent
   * @throws IllegalArgumentException if the server refuses them for good
   */
  public long run() throws InterruptedException {
    Instant before = Instant.now();
    double owed = options.every().toMillis() / 1000.0;
    while (options.count() == 0 || sent < options.count()) {
      Instant now = Instant.now();
      boolean behind = clock.isBefore(now.minus(options.every()));
      double pace = behind ? options.speed() : Math.min(1, options.speed());
      owed += Duration.between(before, now).toMillis() / 1000.0 * pace;
      before = now;
      read(owed, now);
      owed %= options.every().toMillis() / 1000.0;
      send();
      Thread.sleep(TICK.toMillis());
    }
    return sent;
  }

  private synchronized void read(double owedSeconds, Instant now) {
    double step = options.every().toMillis() / 1000.0;
    for (double left = owedSeconds; left >= step; left -= step) {
      if (options.count() > 0 && taken >= options.count()
          || clock.plus(options.every()).isAfter(now)) {
        return;
      }
      pot.fill(options.appliance().waterG());
      pot.run(step);
      clock = clock.plus(options.every());
      double celsius = pot.celsius() + options.noiseC() * noise.nextGaussian();
      unsent.addLast(
          String.format(Locale.ROOT, "{\"at\":\"%s\",\"celsius\":%.2f}", clock, celsius));
      taken++;
      if (unsent.size() > MOST_KEPT) {
        unsent.removeFirst();
      }
    }
  }

  private void send() {
    while (!unsent.isEmpty()) {
      List<String> portion = new ArrayList<>();
      unsent.stream().limit(MOST_A_MESSAGE).forEach(portion::add);
      if (!post(body(portion))) {
        return;
      }
      portion.forEach(r -> unsent.removeFirst());
      sent += portion.size();
    }
  }

  private boolean post(String body) {
    HttpRequest request =
        HttpRequest.newBuilder(options.url().resolve(path()))
            .timeout(PATIENCE)
            .header("Authorization", "Bearer " + options.token())
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build();
    try {
      HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() == OK) {
        if (quiet) {
          out.println("Heard again.");
        }
        quiet = false;
        return true;
      }
      if (answer.statusCode() >= REFUSED && answer.statusCode() < SERVER_FAILS) {
        throw new IllegalArgumentException(
            "Velvet Crock does not take them: " + answer.statusCode() + " " + answer.body());
      }
    } catch (IOException away) {
      // kept and sent later
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      return false;
    }
    if (!quiet) {
      out.println("Not heard by " + options.url() + "; readings are kept and sent later.");
    }
    quiet = true;
    return false;
  }
}
