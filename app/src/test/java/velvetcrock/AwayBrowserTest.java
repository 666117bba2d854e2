package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** A phone goes where the house does not reach, is worked with, and comes back. */
class AwayBrowserTest extends BrowserPages {
  private static final int TICKS = 4;

  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  /** In the demo kitchen, with all pages kept that are worth it. */
  private static void settleIn(Page phone) {
    enterDemo(phone);
    kept(phone, "/cellar");
  }

  private static void kept(Page phone, String address) {
    phone.evaluate(
        """
        async address => {
          for (let i = 0; i < 300; i++) {
            const kept = await (await caches.open('pages')).keys();
            if (kept.some(page => page.url.endsWith(address))) return;
            await new Promise(next => setTimeout(next, 200));
          }
          throw new Error(`${address} is not kept`);
        }""",
        address);
  }

  /** Charges a jar, and waits until its page is kept. */
  private String aJarOfToday(Page phone) {
    phone.navigate("/bench?herbs%5B0%5D.herb=chickweed&amount=20+g");
    phone.getByLabel("Oil’s best-before").fill(today().plusMonths(8).toString());
    phone.getByLabel("Jar and herb are clean").check();
    press(phone, "Charge the jar");
    arrived(phone, "/batches/[A-Z0-9]+$");
    kept(phone, phone.url());
    kept(phone, phone.url() + "/colour");
    return phone.url().replaceAll(".*/", "");
  }

  private static Locator told(Page phone, String name) {
    return phone.locator("[data-away='" + name + "']");
  }

  /** Ticks some of what there is; says how many. */
  private static int tick(Page phone, int most) {
    Locator ticks = phone.locator("form:has(input[name=keys]) [data-tick]:visible:enabled");
    int count = Math.min(most, ticks.count());
    for (int i = 0; i < count; i++) {
      ticks.first().click();
      assertThat(phone.locator(".waits")).hasCount(i + 1);
    }
    return count;
  }

  private static byte[] picture() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(64, 64, BufferedImage.TYPE_INT_RGB), "jpg", out);
    return out.toByteArray();
  }

  private List<Map<String, Object>> written(Instant since) {
    return jdbc.queryForList(
        "select kind, happened_at, written_at from entry where written_at >= ? order by happened_at",
        java.sql.Timestamp.from(since));
  }

  @Test
  void whatIsNotedAwayIsWrittenOnceWithItsOwnTime() throws Exception {
    Instant before = Instant.now();
    try (LossyLine line = new LossyLine(port, "nothing", 0);
        Page phone = phoneWithItsWorker("http://localhost:" + line.port());
        Page other = phone()) {
      settleIn(phone);
      String jar = aJarOfToday(phone);
      line.cut();

      phone.navigate("/round");
      assertThat(told(phone, "kept")).containsText("out of reach. This page is from today");
      int ticked = tick(phone, TICKS);
      phone.locator("#minutes").fill("20");
      phone.locator("#reason").fill("let it drip");
      press(phone, "Start");
      assertThat(told(phone, "timers")).containsText("let it drip");
      phone.navigate("/batches/" + jar);
      int noted = 0;
      for (String words : List.of("cloudy at the top", "clear again")) {
        phone.getByText("Note", new Page.GetByTextOptions().setExact(true)).first().click();
        phone.locator("textarea[name=text]").fill(words);
        press(phone, "Keep the note");
        int waiting = ticked + 2 + noted++;
        assertThat(told(phone, "waiting")).containsText(waiting + " entries wait");
      }
      phone.navigate("/batches/" + jar + "/colour");
      phone
          .locator("input[type=file]")
          .setInputFiles(new FilePayload("oil.jpg", "image/jpeg", picture()));
      press(phone, "Use this picture");
      assertThat(told(phone, "waiting")).containsText((ticked + 4) + " entries wait on this phone");
      String product =
          phone
              .evaluate(
                  """
                  async () => (await (await caches.open('pages')).keys())
                      .map(page => new URL(page.url).pathname)
                      .find(path => /^.products.[A-Z0-9]+.beside$/.test(path))""")
              .toString();
      phone.navigate(product);
      press(phone, "Next");
      assertThat(phone.locator("[data-step]:not([hidden])")).containsText("2 of");
      phone.navigate("/lid");
      assertThat(phone.getByText("Open the camera")).isVisible();
      phone.navigate("/plans");
      assertThat(told(phone, "missing")).isVisible();
      phone.navigate("/waiting");
      assertThat(told(phone, "held").locator("li")).hasCount(ticked + 4);
      assertThat(told(phone, "held")).containsText("Keep the note, " + jar);
      accessible(phone);
      fitsTheScreen(phone);

      Instant back = Instant.now();
      line.mend();
      assertThat(told(phone, "answered").locator("li")).hasCount(ticked + 4);
      assertThat(told(phone, "answered")).not().containsText("Refused");
      assertThat(told(phone, "held").locator("li")).hasCount(0);

      List<Map<String, Object>> entries = written(back);
      assertThat(entries).hasSizeGreaterThanOrEqualTo(ticked + 2);
      assertThat(entries)
          .allSatisfy(
              entry ->
                  assertThat(((java.sql.Timestamp) entry.get("happened_at")).toInstant())
                      .isBetween(before, back));
      enterDemo(other);
      other.navigate("/batches/" + jar);
      assertThat(other.locator(".thread-of-log")).containsText("cloudy at the top");
      assertThat(other.getByText("clear again")).hasCount(1);
      assertThat(other.locator(".page-clocks")).containsText("let it drip");
      stopTimers(other);
      told(phone, "answered").locator("a[href*='/colour/']").first().click();
      assertThat(phone.locator("main")).containsText("Tap the oil");
    }
  }

  /** A page that asks for news by itself is newer than what is kept: it stays, and says so. */
  @Test
  void aPageThatIsOpenStaysAndIsFreshWhenTheHouseAnswers() throws Exception {
    try (LossyLine line = new LossyLine(port, "nothing", 0);
        Page phone = phoneWithItsWorker("http://localhost:" + line.port())) {
      settleIn(phone);
      phone.navigate("/round");
      phone.evaluate("() => { document.querySelector('main').dataset.mine = 'yes'; }");
      line.cut();
      phone.evaluate("() => htmx.trigger(document.querySelector('[data-walk]'), 'due')");
      assertThat(told(phone, "kept")).containsText("The house is out of reach.");
      assertThat(phone.locator("main[data-mine]")).hasCount(1);
      line.mend();
      assertThat(told(phone, "kept")).isHidden();
      phone.evaluate("() => htmx.trigger(document.querySelector('[data-walk]'), 'due')");
      assertThat(phone.locator("main[data-mine]")).hasCount(0);
    }
  }

  /**
   * The house answers again, but slowly: what is begun before its page comes is not taken away by
   * it.
   */
  @Test
  void whatIsBegunOnAKeptPageStaysWhenTheHouseAnswersSlowly() throws Exception {
    try (LossyLine line = new LossyLine(port, "nothing", 0);
        Page phone = phoneWithItsWorker("http://localhost:" + line.port())) {
      settleIn(phone);
      line.cut();
      phone.navigate("/round");
      assertThat(told(phone, "kept")).containsText("This page is from");
      phone.locator("#reason").evaluate("field => field.focus()");
      line.hold("GET /round ");
      line.mend();
      line.awaitHeld();
      phone.keyboard().type("let it drip");
      assertThat(told(phone, "kept")).containsText("The house answers again.");
      line.letGo();
      assertThat(phone.locator("#reason")).hasValue("let it drip");
      phone.locator("#minutes").fill("20");
      press(phone, "Start");
      assertThat(phone.locator("main .clocks")).containsText("let it drip");
      stopTimers(phone);
    }
  }

  @Test
  void aCallIsShownByTheWorker() throws Exception {
    try (LossyLine line = new LossyLine(port, "nothing", 0);
        Page phone = phoneWithItsWorker("http://localhost:" + line.port())) {
      phone.context().grantPermissions(List.of("notifications"));
      settleIn(phone);
      phone.reload();
      phone.evaluate("() => velvetNotify('The bath is low', '/stove')");
      assertThat(called(phone)).isEqualTo("The bath is low/stove");

      pushed(phone, "{\"words\":\"K7M: shake\",\"page\":\"/round\",\"tag\":\"K7M\"}");
      assertThat(called(phone)).isEqualTo("K7M: shake/round");
    }
  }

  /**
   * What the one notification says that is shown, and where it leads; it is put away. Its picture
   * is fetched first, which takes its time beside all that the worker keeps.
   */
  private static Object called(Page phone) {
    return phone.evaluate(
        """
        async () => {
          const worker = await navigator.serviceWorker.ready;
          for (let i = 0; i < 300; i++) {
            const [shown] = await worker.getNotifications();
            if (shown) {
              const said = shown.body + shown.data.page;
              shown.close();
              return said;
            }
            await new Promise(next => setTimeout(next, 100));
          }
          return `none: ${Notification.permission}, ${navigator.serviceWorker.controller?.state}`;
        }""");
  }

  /** As a push service wakes the worker with what it was handed. */
  private static void pushed(Page phone, String message) {
    CDPSession browser = phone.context().newCDPSession(phone);
    CompletableFuture<String> registration = new CompletableFuture<>();
    browser.on(
        "ServiceWorker.workerRegistrationUpdated",
        event ->
            event
                .getAsJsonArray("registrations")
                .forEach(
                    one ->
                        registration.complete(
                            one.getAsJsonObject().get("registrationId").getAsString())));
    browser.send("ServiceWorker.enable");
    phone.waitForCondition(registration::isDone);
    JsonObject push = new JsonObject();
    push.addProperty("origin", phone.url().replaceAll("(https?://[^/]+).*", "$1"));
    push.addProperty("registrationId", registration.join());
    push.addProperty("data", message);
    browser.send("ServiceWorker.deliverPushMessage", push);
  }

  @Test
  void twoPhonesThatWereAwayMergeByTheLog() throws Exception {
    try (LossyLine line = new LossyLine(port, "nothing", 0);
        Page phone = phoneWithItsWorker("http://localhost:" + line.port());
        Page other = phone()) {
      settleIn(phone);
      enterDemo(other);
      other.navigate("/round");
      line.cut();
      phone.navigate("/round");
      Locator task = phone.locator("form:has(input[name=keys]) [data-tick]:visible").last();
      String name = task.getAttribute("aria-label");
      task.click();
      assertThat(phone.locator(".waits")).hasCount(1);
      phone.locator("#minutes").fill("2000");
      press(phone, "Start");
      other
          .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
          .click();
      assertThat(other.locator(".notice")).isVisible();
      line.mend();
      phone.navigate("/waiting");
      assertThat(told(phone, "answered").locator("li")).hasCount(2);
      assertThat(told(phone, "answered")).containsText("Refused: ");
      assertThat(told(phone, "answered")).containsText("in the log already");

      press(phone, "Sign out");
      assertThat(phone.locator("#leaving")).containsText("One entry has not been written");
      press(phone, "Stay");
      press(phone, "Throw it away");
      press(phone, "Yes, throw it away");
      press(phone, "All seen");
      assertThat(told(phone, "nothing")).isVisible();
      press(phone, "Sign out");
      arrived(phone, "/sign-in");
      assertThat(phone.evaluate("async () => (await (await caches.open('pages')).keys()).length"))
          .isEqualTo(0);
    }
  }
}
