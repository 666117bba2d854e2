package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Work at the counter and the stove, a step at a time. */
class BesideBrowserTest extends BrowserPages {
  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  private String code(String from) {
    return jdbc.queryForObject(
        "select b.code from " + from + " and h.demo and h.name like 'Keeper%' limit 1",
        String.class);
  }

  private static Locator step(Page page) {
    return page.locator("[data-step]:not([hidden])");
  }

  private static void toTheLast(Page page) {
    while (page.locator("[data-turn-on]").isEnabled()) {
      press(page, "Next");
    }
  }

  @Test
  void aJarIsChargedFromItsSentence() {
    try (Page page = phone()) {
      enterDemo(page);
      page.navigate("/bench?herbs%5B0%5D.herb=chickweed&amount=20+g");
      assertThat(page.locator("#result h2")).containsText("of oil covers it");
      page.getByText("Beside the jar, step by step").click();
      arrived(page, "/bench/beside\\?");
      assertThat(step(page)).containsText("Clean and dry");
      press(page, "Next");
      assertThat(step(page)).containsText("Weigh Chickweed");
      assertThat(step(page)).containsText("20 g");
      accessible(page);
      fitsTheScreen(page);
      page.reload();
      assertThat(step(page)).containsText("Weigh Chickweed");
      toTheLast(page);
      page.getByLabel("Jar and herb are clean").check();
      press(page, "Charge the jar");
      arrived(page, "/batches/[A-Z0-9]+$|/bench/charge$");
      if (page.url().endsWith("/charge")) {
        page.getByLabel("I do not know the oil’s dates").check();
        press(page, "Charge the jar");
        arrived(page, "/batches/[A-Z0-9]+$");
      }
      assertThat(page.locator("main")).containsText("20 g");
    }
  }

  @Test
  void aPotIsReadAndTimedWithoutLeavingItsSteps() {
    String pot =
        code(
            "batch b join household h on h.id = b.household_id"
                + " where b.status = 'INFUSING' and b.state::text like '%\"off\": null%'"
                + " and b.state::text like '%\"bath\": {%'");
    try (Page page = page(360, ColorScheme.DARK)) {
      enterDemo(page);
      page.navigate("/batches/" + pot);
      page.getByText("Beside the pot", new Page.GetByTextOptions().setExact(true)).click();
      arrived(page, "/stove/" + pot + "/beside");
      assertThat(step(page)).containsText("Read the thermometer");
      step(page).getByLabel("The oil has").fill("hot");
      step(page).getByRole(AriaRole.BUTTON).click();
      assertThat(page.locator("#refused")).isVisible();
      step(page).getByLabel("The oil has").fill("43.5 C");
      step(page).getByRole(AriaRole.BUTTON).click();
      assertThat(page.locator(".beside-noted").first()).containsText("Read and noted");
      toTheLast(page);
      assertThat(step(page)).containsText("Take it off");
      step(page)
          .getByRole(
              AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("timer")))
          .click();
      assertThat(page.locator(".page-clocks")).containsText("Cooling, " + pot);
      assertThat(step(page)).containsText("Take it off");
      accessible(page);
      page.keyboard().press("ArrowLeft");
      assertThat(step(page)).containsText("Leave it its time");
    }
  }

  @Test
  void whatIsReadAloudIsAskedForFirst() {
    String product =
        code("product b join household h on h.id = b.household_id where b.status = 'IN_THE_PAN'");
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      page.addInitScript(
          "window.said = []; SpeechSynthesis.prototype.speak = u => window.said.push(u.text);");
      enterDemo(page);
      page.navigate("/products/" + product);
      page.getByText("Beside the pot, one at a time").click();
      arrived(page, "/beside$");
      String first = step(page).locator("h2").innerText();
      press(page, "Next");
      assertThat(step(page).locator("h2")).not().hasText(first);
      org.assertj.core.api.Assertions.assertThat(page.evaluate("() => window.said.length"))
          .isEqualTo(0);
      press(page, "Read aloud");
      press(page, "Back");
      org.assertj.core.api.Assertions.assertThat(
              String.valueOf(page.evaluate("() => window.said.at(-1)")))
          .startsWith(first);
    }
  }
}
