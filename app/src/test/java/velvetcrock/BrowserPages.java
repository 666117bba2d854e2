package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.ExtendWith;
import velvetcrock.kitchen.Household;

/** The real interface in Debian's headless Chromium; one that hangs fails its test soon. */
@Timeout(value = 6, unit = TimeUnit.MINUTES)
@ExtendWith(Meanwhile.class)
abstract class BrowserPages extends AppTest {
  static final String PASSWORD = "a long enough password";

  /** How long is waited for what a busy machine does late; how fast it is, benchmarks tell. */
  private static final int PATIENCE_MS = 30_000;

  private static Playwright playwright;
  private static Browser browser;

  @BeforeAll
  static void launch() {
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser = launch(List.of());
  }

  /** A browser of its own, started in a particular way. */
  static Browser launch(List<String> more) {
    List<String> usual =
        List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");
    return playwright
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium"))
                .setArgs(Stream.concat(usual.stream(), more.stream()).toList()));
  }

  @AfterAll
  static void close() {
    browser.close();
    playwright.close();
  }

  Page page(int width, ColorScheme scheme) {
    return page(options(width, scheme));
  }

  /** A phone, which is touched. */
  Page phone() {
    return page(options(360, ColorScheme.LIGHT).setHasTouch(true).setIsMobile(true));
  }

  private Browser.NewContextOptions options(int width, ColorScheme scheme) {
    return new Browser.NewContextOptions()
        .setViewportSize(width, 800)
        .setColorScheme(scheme)
        .setLocale("en-US")
        // The worker that asks for a lost answer again has a test of its own.
        .setServiceWorkers(ServiceWorkerPolicy.BLOCK)
        .setBaseURL("http://localhost:" + port);
  }

  /** A phone whose pages have their worker, at an address of its own. */
  Page phoneWithItsWorker(String base) {
    return page(
        options(360, ColorScheme.LIGHT)
            .setServiceWorkers(ServiceWorkerPolicy.ALLOW)
            .setBaseURL(base));
  }

  private Page page(Browser.NewContextOptions options) {
    BrowserContext context = browser.newContext(options);
    Page page = context.newPage();
    page.setDefaultTimeout(PATIENCE_MS);
    page.onConsoleMessage(
        message -> {
          if (message.type().equals("error") && message.text().contains("Content Security")) {
            throw new AssertionError(message.text() + " at " + message.location());
          }
        });
    return page;
  }

  /** Somebody who has just moved into a household that has nothing yet. */
  void moveIntoANewHousehold(Page page, String kitchen) throws Exception {
    Household fresh = households.found("New kitchen", "America/Chicago", kitchen, true);
    Somebody first = new Somebody(fresh.id(), "Ada");
    as(
        first,
        () -> {
          places.furnish();
          return null;
        });
    Object link =
        send(first, "/people/invitations", "role", "KEEPER")
            .andReturn()
            .getFlashMap()
            .get("invitationLink");
    page.navigate(String.valueOf(link).replaceAll("^https?://[^/]+", ""));
    page.locator("input[name=name]").fill("Ben");
    page.locator("input[name=login]").fill("ben-" + fresh.id());
    page.locator("input[name=password]").fill(PASSWORD);
    page.locator("main form .button").click();
    arrived(page, "/account/codes$");
    page.navigate("/");
    arrived(page, "/$");
  }

  static void enterDemo(Page page) {
    page.navigate("/sign-in");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Look around the demo kitchen"))
        .click();
    arrived(page, "/$");
  }

  /** Stops all timers of the household, those of other tests too. */
  static void stopTimers(Page page) {
    page.navigate("/cellar");
    Locator stop = page.locator(".page-clocks .clock button");
    for (int left = stop.count(); left > 0; left--) {
      stop.first().click();
      assertThat(stop).hasCount(left - 1);
    }
  }

  /** Waits until a page is there with its scripts, so that keys are heard. */
  static void arrived(Page page, String url) {
    try {
      assertThat(page).hasURL(Pattern.compile(url));
    } catch (AssertionError elsewhere) {
      throw new AssertionError(
          "Stays at " + page.url() + ", which says:\n" + page.locator("main").innerText(),
          elsewhere);
    }
    page.waitForLoadState();
  }

  /** Presses a key that the page's own scripts hear, once they are there. */
  static void key(Page page, String key) {
    page.waitForLoadState();
    page.keyboard().press(key);
  }

  static void press(Page page, String button) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button).setExact(true))
        .click();
  }

  /**
   * Picks from a list, or types what it is called into the field that stands in a long one's place.
   */
  static void pick(Locator box, String value) {
    Object words =
        box.evaluate(
            """
            (b, v) => b.matches('input')
                ? [...b.previousElementSibling.options].find(o => o.value === v || o.text.trim() === v).text.trim()
                : null""",
            value);
    if (words == null) {
      box.selectOption(value);
    } else {
      box.fill((String) words);
    }
  }

  static void fitsTheScreen(Page page) {
    Object wider = page.evaluate("() => document.documentElement.scrollWidth - innerWidth");
    assertThat(((Number) wider).intValue()).as(page.url()).isLessThanOrEqualTo(0);
  }

  /** What axe finds wrong; what it finds right is not gathered, which would take half the time. */
  static List<Rule> violations(Page page) {
    AxeRunOptions wrongAlone = new AxeRunOptions();
    wrongAlone.setResultTypes(List.of("violations"));
    return new AxeBuilder(page).setLegacyMode(true).options(wrongAlone).analyze().getViolations();
  }

  static void accessible(Page page) {
    assertThat(
            violations(page).stream()
                .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
                .map(v -> v.getId() + ": " + v.getNodes().get(0).getHtml()))
        .as(page.url())
        .isEmpty();
  }
}
