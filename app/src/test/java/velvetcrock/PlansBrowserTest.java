package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The planner, what-ifs, the round and the calendar through the real interface. */
class PlansBrowserTest extends BrowserPages {
  private static final String WANT =
      "/plans/new?herb=yarrow&carrier=sunflower-high-oleic&things%5B0%5D.what=TINS"
          + "&things%5B0%5D.count=4&things%5B0%5D.size=30%20ml&things%5B0%5D.kind=SALVE&by=";

  private static void settled(Page page) {
    page.waitForFunction(
        "() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling')");
  }

  @Test
  void aDozenTinsAreWantedAWayIsChosenAndTheJarIsCharged() {
    Page page = page(1280, ColorScheme.LIGHT);
    enterDemo(page);
    page.navigate(page.url().replaceAll("/$", "") + WANT + LocalDate.now().plusDays(70));
    assertThat(page.locator("#outlook h2")).containsText("ways get there");
    page.waitForResponse("**/plans/new", () -> page.getByLabel("How many").fill("5"));
    settled(page);
    assertThat(page.locator("#outlook")).containsText("5 tins of 30 ml salve");
    page.waitForResponse(
        "**/plans/new",
        () ->
            page.locator("input[name=way][value='COLD-COVERING']")
                .check(new Locator.CheckOptions().setForce(true)));
    settled(page);
    assertThat(page.locator("#looked h3")).containsText("Cold, in the dark");
    accessible(page);

    press(page, "Plan it so");
    arrived(page, "/plans/[A-Z0-9]+$");
    String code = page.url().replaceAll(".*/", "");
    assertThat(page.locator("main")).containsText("Reserved for it");
    accessible(page);
    page.getByText("Charge it at the bench").click();
    assertThat(page.locator(".notice").first()).containsText(code);
    page.locator("input[name=clean]").check();
    page.locator("button", new Page.LocatorOptions().setHasText("Charge the jar")).click();
    arrived(page, "/batches/" + code + "$");
    assertThat(page.locator("main")).containsText(code);
  }

  @Test
  void slidersRedrawTheCurvesAndAPinStaysBeside() {
    Page page = page(1280, ColorScheme.DARK);
    enterDemo(page);
    page.navigate(page.url().replaceAll("/$", "") + "/plans/what-if");
    String before = page.locator("#curves h2").textContent();
    page.waitForResponse("**/plans/what-if**", () -> page.locator("#celsius").fill("60"));
    settled(page);
    assertThat(page.locator("#out-celsius")).hasText("60 °C");
    assertThat(page.locator("#curves h2")).not().hasText(before);
    page.getByText("Pin it").click();
    assertThat(page.locator(".pinned li")).hasCount(2);
    page.waitForResponse("**/plans/what-if**", () -> page.locator("#time").fill("40"));
    settled(page);
    assertThat(page.locator(".pinned li")).hasCount(2);
    accessible(page);
  }

  @Test
  void theRoundIsWalkedOnAPhoneWithATimerAndSomethingPutOff() {
    Page page = page(360, ColorScheme.DARK);
    enterDemo(page);
    page.navigate(page.url().replaceAll("/$", "") + "/round");
    fitsTheScreen(page);
    accessible(page);
    page.getByLabel("Minutes").fill("20");
    page.getByLabel("What for").fill("Kettle");
    press(page, "Start");
    Locator timer = page.locator(".clock", new Page.LocatorOptions().setHasText("Kettle"));
    assertThat(timer.locator("[data-seconds]")).hasText(Pattern.compile("(20:00|19:\\d\\d)"));

    Locator errand = page.locator(".errand:has(button[value=tomorrow])").first();
    String which = errand.locator(".code").first().textContent();
    errand.locator("summary").click();
    fitsTheScreen(page);
    errand.locator("button[value=tomorrow]").click();
    page.waitForLoadState();
    page.getByText("Put off or skipped").click();
    assertThat(page.locator("main")).containsText(which + " put off");
    timer.locator("button").click();
    page.waitForLoadState();
    assertThat(timer).hasCount(0);
  }
}
