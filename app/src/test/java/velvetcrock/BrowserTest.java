package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import org.junit.jupiter.api.Test;

/** The whole path through the real interface. */
class BrowserTest extends BrowserPages {
  /** From the bench to a bottle that is drawn from, with the buttons of the pages. */
  private void wholePath(Page page) {
    page.navigate("/bench");
    page.getByLabel("How much herb").fill("30 g");
    assertThat(page.locator("#result")).containsText("30 g");
    page.getByLabel("Cut", new Page.GetByLabelOptions().setExact(true)).selectOption("POWDER");
    assertThat(page.locator("#result h2")).containsText("150 ml of oil covers it");
    press(page, "Charge the jar");
    assertThat(page.locator("#wrong-clean")).isVisible();
    assertThat(page.getByLabel("How much herb")).hasValue("30 g");
    page.getByLabel("Oil’s best-before").fill(today().plusMonths(8).toString());
    page.getByLabel("Charged on").fill(today().minusDays(30).toString());
    page.getByLabel("Jar and herb are clean").check();
    fitsTheScreen(page);
    press(page, "Charge the jar");
    arrived(page, "/batches/[A-Z0-9]+$");
    String code = page.url().replaceAll(".*/", "");

    press(page, "Shaken");
    assertThat(page.locator(".notice")).containsText("Shaken");
    page.locator("[data-undo]").click();
    assertThat(page.locator(".replaced")).containsText("Shaken");
    fitsTheScreen(page);

    page.navigate("/batches/" + code + "/strain");
    page.getByLabel("What came out?").fill("a lot");
    press(page, "Strained");
    assertThat(page.locator("#wrong-amount")).isVisible();
    page.getByLabel("What came out?").fill("100 ml");
    fitsTheScreen(page);
    press(page, "Strained");
    assertThat(page.locator("h2").first()).containsText("100 ml came out");
    page.getByLabel("The bottles are clean and dry").check();
    page.getByLabel("The oil is cold").check();
    press(page, "Bottle it");
    assertThat(page.locator("main")).containsText("Good until");
    page.getByLabel("How much?").fill("2 tbsp");
    press(page, "Draw it");
    assertThat(page.locator("main")).containsText("70 ml of 100 ml left");
    fitsTheScreen(page);
    page.navigate("/cellar");
    assertThat(page.locator(".spots")).containsText(code + "-A");
  }

  @Test
  void byMouseAtADesk() {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      wholePath(page);
    }
  }

  @Test
  void byThumbOnAPhoneInTheDark() {
    try (Page page = page(360, ColorScheme.DARK)) {
      enterDemo(page);
      fitsTheScreen(page);
      wholePath(page);
    }
  }

  @Test
  void aTaskIsDoneAndTakenBackByKeyboardAlone() {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      key(page, "2");
      arrived(page, "/bench$");
      key(page, "1");
      arrived(page, "/$");
      int before = page.locator("[data-tick]:visible").count();
      // Others tick in the demo, too: whichever task is left.
      nextUntil(page, "Done: ");
      page.keyboard().press("Enter");
      assertThat(page.locator(".notice")).isVisible();
      assertThat(page.locator("[data-tick]:visible")).hasCount(before - 1);
      key(page, "u");
      assertThat(page.locator(".notice")).containsText("Taken back");
      assertThat(page.locator("[data-tick]:visible")).hasCount(before);
    }
  }

  /** Walks the round by its key until the task stands under the keyboard. */
  private static void nextUntil(Page page, String task) {
    for (int presses = 0; presses < 60; presses++) {
      key(page, "n");
      String here = page.locator("[data-tick]:focus").getAttribute("aria-label");
      if (here.startsWith(task)) {
        return;
      }
    }
    throw new AssertionError("The round has no task " + task);
  }

  /**
   * Presses Tab until the keyboard stands on it: what Tab cannot reach, nobody without a mouse can.
   */
  private static void tabTo(Page page, Locator target) {
    for (int presses = 0; presses < 120; presses++) {
      page.keyboard().press("Tab");
      if ((Boolean) target.evaluate("element => element === document.activeElement")) {
        return;
      }
    }
    throw new AssertionError("Tab never reaches " + target + " on " + page.url());
  }

  private static void typeInto(Page page, String label, String text) {
    tabTo(page, page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)));
    if (!label.equals("Cut")) {
      page.keyboard().press("Control+A");
    }
    page.keyboard().type(text);
  }

  private static void enter(Page page, String button) {
    tabTo(
        page,
        page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button).setExact(true)));
    page.keyboard().press("Enter");
  }

  private static void tick(Page page, String label) {
    tabTo(page, page.getByLabel(label));
    page.keyboard().press("Space");
  }

  /** A date as its field is typed in, month first. */
  private static String keys(LocalDate date) {
    return date.format(DateTimeFormatter.ofPattern("MMddyyyy"));
  }

  @Test
  void byKeyboardAloneFromHerbToBottle() {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      page.navigate("/sign-in");
      enter(page, "Look around the demo kitchen");
      arrived(page, "/$");
      key(page, "2");
      arrived(page, "/bench$");
      typeInto(page, "Cut", "powder");
      typeInto(page, "How much herb", "30 g");
      assertThat(page.locator("#result h2")).containsText("150 ml of oil covers it");
      typeInto(page, "Oil’s best-before", keys(today().plusMonths(8)));
      typeInto(page, "Charged on", keys(today().minusDays(30)));
      tick(page, "Jar and herb are clean");
      enter(page, "Charge the jar");
      arrived(page, "/batches/[A-Z0-9]+$");
      enter(page, "Shaken");
      assertThat(page.locator(".notice")).containsText("Shaken");
      key(page, "u");
      assertThat(page.locator(".replaced")).containsText("Shaken");
      tabTo(page, page.locator("a[href$='/strain']").first());
      page.keyboard().press("Enter");
      arrived(page, "/strain$");
      typeInto(page, "What came out?", "100 ml");
      page.keyboard().press("Enter");
      assertThat(page.locator("h2").first()).containsText("100 ml came out");
      accessible(page);
      tick(page, "The bottles are clean and dry");
      tick(page, "The oil is cold");
      enter(page, "Bottle it");
      assertThat(page.locator("main")).containsText("Good until");
      typeInto(page, "How much?", "2 tbsp");
      page.keyboard().press("Enter");
      assertThat(page.locator("main")).containsText("70 ml of 100 ml left");
    }
  }
}
