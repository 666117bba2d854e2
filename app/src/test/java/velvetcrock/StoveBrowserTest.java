package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import velvetcrock.probe.Options;
import velvetcrock.probe.Probe;

/** The stove in the real interface, with the simulated probe sending over the wire. */
class StoveBrowserTest extends BrowserPages {
  /** Charges a warm batch at the demo's bench; hands back its code. */
  private static String charged(Page page, String method) {
    page.navigate(
        "/bench?jar=jar-500&amount=20+g&herbs%5B0%5D.herb=rosemary&herbs%5B0%5D.cut=CUT"
            + "&herbs%5B0%5D.state=DRIED&oils%5B0%5D.carrier=olive&method="
            + method);
    // Shortly after midnight it would else stand on the heat on the day before it was charged.
    page.getByLabel("Charged on")
        .fill(
            java.time.LocalDate.now(java.time.ZoneId.of("Europe/London")).minusDays(1).toString());
    page.getByLabel("Oil’s best-before").fill(java.time.LocalDate.now().plusMonths(9).toString());
    page.getByLabel("Jar and herb are clean and bone-dry").check();
    press(page, "Charge the jar");
    arrived(page, "/batches/[A-Z0-9]+$");
    return page.url().replaceAll(".*/", "");
  }

  private String token() throws Exception {
    Somebody demo = new Somebody(households.demo().orElseThrow().id(), "Keeper");
    return String.valueOf(
        send(demo, "/people/tokens", "tokenName", "probe in the crock")
            .andReturn()
            .getFlashMap()
            .get("tokenSecret"));
  }

  /** Runs a probe on a thread of its own until it has sent so many readings. */
  private Thread probe(String code, String token, String setting, double hoursBack, int count) {
    Options options =
        Options.of(
            new String[] {
              "--url",
              "http://localhost:" + port,
              "--batch",
              code,
              "--token",
              token,
              "--appliance",
              "slow-cooker",
              "--setting",
              setting,
              "--speed",
              "3600",
              "--back",
              String.valueOf(hoursBack),
              "--every",
              "20",
              "--noise",
              "0",
              "--count",
              String.valueOf(count)
            },
            null);
    Thread thread =
        new Thread(
            () -> {
              try {
                new Probe(options, new PrintStream(OutputStream.nullOutputStream())).run();
              } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
              }
            });
    thread.start();
    return thread;
  }

  @Test
  void aProbeIsSeenLiveFromWarmingUpToTooHot() throws Exception {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      String code = charged(page, "WARM");
      String secret = token();
      page.navigate("/stove/" + code);
      page.getByLabel("On what?").selectOption("The velvet crock");
      page.getByLabel("Knob at").fill("high");
      page.locator("#put-on .when summary").click();
      page.locator("#put-on input[name=happened]").fill("73 min ago");
      assertThat(page.locator("#put-on .when .understood")).not().isEmpty();
      press(page, "It is on");
      assertThat(page.locator(".notice")).containsText("is on the heat");
      assertThat(page.locator("[data-live]")).hasText("Live");

      Thread probe = probe(code, secret, "high", 1.2, 214);
      Locator pot = page.locator("[data-pot]");
      assertThat(pot.locator("[data-f=moodWords]")).hasText("above its ceiling");
      assertThat(pot.locator("[data-f=source]")).containsText("Probe, just now");
      assertThat(pot).hasAttribute("data-alarm", "true");
      assertThat(page).hasTitle(Pattern.compile("^● "));
      probe.join(20_000);
      assertThat(pot.locator("[data-trace]"))
          .hasAttribute("data-points", Pattern.compile("2\\d\\d"));
      accessible(page);
      fitsTheScreen(page);

      page.reload();
      press(page, "Lifted off");
      assertThat(page.locator("main")).containsText("Answered: lifted off.");
      press(page, "Taken off");
      assertThat(page.locator(".notice")).containsText("Off the heat");
      assertThat(page.locator("[data-f=moodWords]")).hasText("off the heat");
    }
  }

  @Test
  void aLostConnectionIsSaidAndRecovers() {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      key(page, "3");
      arrived(page, "/stove$");
      assertThat(page.locator("[data-live]")).hasText("Live");
      page.route("**/stove/live", route -> route.abort());
      page.route("**/stove/now", route -> route.abort());
      page.evaluate("() => dispatchEvent(new Event('online'))");
      assertThat(page.locator("[data-live]")).containsText("these figures are old");
      page.unroute("**/stove/now");
      assertThat(page.locator("[data-live]")).containsText("Live, every few seconds");
      page.unroute("**/stove/live");
      page.evaluate("() => dispatchEvent(new Event('online'))");
      assertThat(page.locator("[data-live]")).hasText("Live");
    }
  }

  @Test
  void withoutAThermometerAndWithAFileOnAPhoneInTheDark() {
    try (Page page = page(360, ColorScheme.DARK)) {
      enterDemo(page);
      String code = charged(page, "TWO_STAGE");
      page.navigate("/stove/" + code);
      fitsTheScreen(page);
      page.getByLabel("Knob at").fill("warm");
      page.waitForNavigation(() -> press(page, "It is on"));
      // What was noted may be told on this page before the next one is there.
      page.waitForNavigation(() -> press(page, "Bath-warm"));
      assertThat(page.locator("[data-f=source]"))
          .containsText("Estimated from the dial and by hand");
      page.getByLabel("The oil has").fill("41 C");
      press(page, "Note it");
      assertThat(page.locator("[data-f=temperature]")).hasText("41.0");

      String csv =
          "time;temp\n"
              + Instant.now().minus(Duration.ofMinutes(9))
              + ";104\n"
              + Instant.now().minus(Duration.ofMinutes(4))
              + ";lost\n";
      page.getByLabel("CSV with times and temperatures")
          .setInputFiles(
              new FilePayload("pot.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8)));
      press(page, "Read the file");
      page.getByText("°F", new Page.GetByTextOptions().setExact(true)).click();
      press(page, "Read it so");
      assertThat(page.locator("main")).containsText("Partly taken");
      assertThat(page.locator("main")).containsText("“lost” is not a temperature");
      fitsTheScreen(page);
      accessible(page);
      press(page, "Take the whole file back");
      assertThat(page.locator(".notice")).containsText("one reading is gone again");
      page.navigate("/stove");
      fitsTheScreen(page);
      accessible(page);
    }
  }

  @Test
  void thePracticePotAnswersTheHand() {
    try (Page page = page(800, ColorScheme.LIGHT)) {
      enterDemo(page);
      page.navigate("/stove/practice");
      page.getByLabel("On what?").selectOption("Slow cooker");
      press(page, "Begin");
      arrived(page, "practice\\?pot=");
      press(page, "high");
      assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("high")))
          .hasAttribute("aria-pressed", "true");
      assertThat(page.locator("[data-f=moodWords]")).hasText("in the band");
      assertThat(page.locator("[data-f=share]").textContent()).endsWith("%");
      fitsTheScreen(page);
      accessible(page);
    }
  }
}
