import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;

/**
 * A phone at the end of a wire, as bench/house has it: signs in, goes where the house does not reach, is worked
 * with, and comes back; and works through a wire that loses a third of its packets for a minute.
 */
class Phone {
  private static final int ENTRIES = 10;
  private static final int LOADS = 15;
  private static final int LOSSY_MS = 60_000;
  private static final int PATIENCE_MS = 60_000;

  private final Browser browser;
  private final String house;

  private Phone(Browser browser, String house) {
    this.browser = browser;
    this.house = house;
  }

  public static void main(String[] args) throws Exception {
    Map<String, String> env = Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1");
    try (Playwright playwright = Playwright.create(new Playwright.CreateOptions().setEnv(env));
        Browser browser =
            playwright
                .chromium()
                .launch(
                    new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setEnv(Map.of("HOME", args[1], "PATH", System.getenv("PATH")))
                        .setArgs(
                            List.of(
                                "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
                                "--disable-background-networking")))) {
      Phone phone = new Phone(browser, args[0]);
      phone.awayAndBack();
      phone.throughALossyWire();
      phone.pairsAThermometer(Path.of(args[2]));
    }
  }

  /** Pairs a thermometer, as somebody does who stands at the stove; what it has to show goes to a file. */
  private void pairsAThermometer(Path token) throws Exception {
    Page page = page();
    page.navigate("/stove/thermometers");
    page.locator("#name").fill("clip-on of the trial");
    page.locator("#jar").selectOption(new SelectOption().setIndex(1));
    press(page, "Pair it");
    Files.writeString(token, page.locator("#secret").inputValue());
    found("a thermometer is paired", true);
  }

  private Page page() {
    BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(360, 780)
                .setIsMobile(true)
                .setHasTouch(true)
                .setBaseURL(house));
    Page page = context.newPage();
    page.setDefaultTimeout(PATIENCE_MS);
    page.navigate("/sign-in");
    press(page, "Look around the demo kitchen");
    page.waitForURL(house + "/");
    return page;
  }

  private static void press(Page page, String button) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button).setExact(true)).click();
  }

  private static void settled(Page page) {
    kept(page, "/cellar");
  }

  private static void kept(Page page, String address) {
    page.evaluate(
        """
        async address => {
          for (;;) {
            const kept = await (await caches.open('pages')).keys();
            if (kept.some(page => page.url.endsWith(address))) return;
            await new Promise(next => setTimeout(next, 200));
          }
        }""",
        address);
  }

  private static void run(String... command) throws Exception {
    if (new ProcessBuilder(command).inheritIO().start().waitFor() != 0) {
      throw new IllegalStateException(String.join(" ", command));
    }
  }

  private static void found(String what, boolean right) {
    if (!right) {
      throw new AssertionError(what);
    }
    System.out.println("as it should be: " + what);
  }

  private void awayAndBack() throws Exception {
    Page phone = page();
    Page other = page();
    settled(phone);
    String jar = charged(phone);
    run("ip", "link", "set", "vcp", "down");
    phone.navigate("/round");
    found("out of reach, the round is there and says from when it is",
        phone.locator("[data-away=kept]").innerText().contains("This page is from"));
    double[] loads = new double[LOADS];
    for (int i = 0; i < LOADS; i++) {
      phone.navigate(i % 2 == 0 ? "/" : "/round");
      loads[i] =
          ((Number)
                  phone.evaluate(
                      "() => performance.getEntriesByType('navigation')[0].domContentLoadedEventEnd"))
              .doubleValue();
    }
    Arrays.sort(loads);
    System.out.printf("a page from the phone: median %.0f ms, slowest %.0f ms%n", loads[LOADS / 2], loads[LOADS - 1]);

    phone.navigate("/round");
    int ticked = 0;
    Locator ticks = phone.locator("form [data-tick]:visible:enabled");
    while (ticked < ENTRIES && ticks.count() > 0) {
      ticks.first().click();
      ticked++;
      phone.waitForFunction("n => document.querySelectorAll('.waits').length >= n", ticked);
    }
    for (int i = ticked; i < ENTRIES; i++) {
      note(phone, jar, "noted away " + i);
    }
    phone.navigate("/batches/" + jar + "/colour");
    phone
        .locator("input[type=file]")
        .setInputFiles(new FilePayload("oil.jpg", "image/jpeg", picture()));
    press(phone, "Use this picture");
    waits(phone, ENTRIES + 1);
    found(ticked + " ticks, " + (ENTRIES - ticked) + " notes and a picture wait on the phone", true);

    run("ip", "link", "set", "vcp", "up");
    List<String> answers = answered(phone, ENTRIES + 1);
    found("each is answered, and none refused: " + answers.size(),
        answers.size() == ENTRIES + 1 && answers.stream().noneMatch(a -> a.startsWith("REFUSED")));
    other.navigate("/batches/" + jar);
    String log = other.locator(".thread-of-log").innerText();
    for (int i = ticked; i < ENTRIES; i++) {
      found("another phone sees note " + i + " once", log.split("noted away " + i, -1).length == 2);
    }
    phone.context().close();
    other.context().close();
  }

  private void throughALossyWire() throws Exception {
    Page phone = page();
    settled(phone);
    String jar = jar(phone);
    run("nft", "add", "table", "inet", "lossy");
    for (String hook : List.of("input", "output")) {
      run("nft", "add", "chain", "inet", "lossy", hook, "{ type filter hook " + hook + " priority 0 ; }");
      String end = hook.equals("input") ? "iifname" : "oifname";
      run("nft", "add", "rule", "inet", "lossy", hook, end, "vcp", "numgen", "random", "mod", "3", "==", "0", "drop");
    }
    long until = System.currentTimeMillis() + LOSSY_MS;
    List<String> noted = new ArrayList<>();
    while (System.currentTimeMillis() < until || noted.size() < ENTRIES) {
      String words = "through a bad wire " + noted.size() + ".";
      note(phone, jar, words);
      noted.add(words);
      if (noted.size() >= ENTRIES) {
        Thread.sleep(Math.max(0, until - System.currentTimeMillis()));
      }
    }
    run("nft", "delete", "table", "inet", "lossy");
    sentAll(phone);
    Page other = page();
    other.navigate("/batches/" + jar + "?all=yes");
    String log = other.locator(".thread-of-log").innerText();
    for (String words : noted) {
      int times = log.split(words.replace(".", "\\."), -1).length - 1;
      found(words + " written once" + (times == 1 ? "" : ", found " + times + " times; " + answers(phone)), times == 1);
    }
  }

  /** Waits until nothing waits on the phone any more; its page may be loaded anew meanwhile. */
  private static void sentAll(Page phone) throws InterruptedException {
    for (int tries = 0; tries < 2 * PATIENCE_MS / 1000; tries++) {
      try {
        Object left =
            phone.evaluate(
                """
                async () => {
                  navigator.serviceWorker.controller?.postMessage({ ask: 'send' });
                  const open = indexedDB.open('velvet-crock');
                  const db = await new Promise(done => (open.onsuccess = () => done(open.result)));
                  const count = db.transaction('waiting').objectStore('waiting').count();
                  const left = await new Promise(done => (count.onsuccess = () => done(count.result)));
                  db.close();
                  return left;
                }""");
        if (((Number) left).intValue() == 0) {
          return;
        }
      } catch (PlaywrightException loadedAnew) {
        phone.waitForLoadState();
      }
      Thread.sleep(1000);
    }
    throw new AssertionError("something waits still");
  }

  private static String jar(Page phone) {
    return phone
        .locator("main a[href^='/batches/']")
        .first()
        .getAttribute("href")
        .replaceAll("^/batches/(\\w+).*", "$1");
  }

  /** Charges a jar; its page is kept before it comes back. */
  private static String charged(Page phone) {
    phone.navigate("/bench?herbs%5B0%5D.herb=chickweed&amount=20+g");
    phone.getByLabel("Oil’s best-before").fill(LocalDate.now().plusMonths(8).toString());
    phone.getByLabel("Jar and herb are clean").check();
    press(phone, "Charge the jar");
    phone.waitForURL(Pattern.compile(".*/batches/[A-Z0-9]+$"));
    kept(phone, phone.url());
    kept(phone, phone.url() + "/colour");
    found("a jar is charged, and its page is on the phone at once", true);
    return phone.url().replaceAll(".*/", "");
  }

  private static void note(Page phone, String jar, String words) {
    phone.navigate("/batches/" + jar);
    Locator form = phone.locator("form:has(textarea[name=text])");
    phone.locator("details:has(textarea[name=text]) > summary").click();
    form.locator("textarea").fill(words);
    phone.evaluate("() => { window.before = true; }");
    form.locator("button").last().click();
    phone.waitForFunction("() => window.before === undefined && document.readyState === 'complete'");
  }

  private static void waits(Page phone, int count) {
    phone.waitForFunction(
        "n => document.querySelector('[data-away=waiting]')?.textContent.startsWith(`${n} entries wait`)", count);
  }

  private static List<String> answered(Page phone, int count) {
    phone.navigate("/waiting");
    phone.waitForFunction("n => document.querySelectorAll('[data-away=answered] li').length === n", count);
    return answers(phone);
  }

  @SuppressWarnings("unchecked")
  private static List<String> answers(Page phone) {
    return (List<String>)
        phone.evaluate(
            """
            async () => {
              const open = indexedDB.open('velvet-crock');
              const db = await new Promise(done => (open.onsuccess = () => done(open.result)));
              const all = db.transaction('answered').objectStore('answered').getAll();
              const found = await new Promise(done => (all.onsuccess = () => done(all.result)));
              db.close();
              return found.map(entry => `${entry.answer.outcome} ${entry.what} ${entry.fields.map(([, told]) => told).join(" ")}`);
            }""");
  }

  private static byte[] picture() throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB), "jpg", out);
    return out.toByteArray();
  }
}
