package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.Cookie;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What becomes of a form where something goes wrong: refused, slow, away, signed out. */
class FormsBrowserTest extends BrowserPages {
  private static String standing(Page page) {
    page.navigate("/");
    String href =
        page.locator("a[href^='/batches/']").first().getAttribute("href").replaceAll("[#?].*", "");
    page.navigate(href);
    return href;
  }

  private static Locator note(Page page) {
    page.locator("summary", new Page.LocatorOptions().setHasText("Note")).first().click();
    return page.locator("textarea[name=text]").first();
  }

  @Test
  void whatIsRefusedIsToldOnceAtTheTopAndTheHandGoesToTheField() {
    try (Page page = page(360, ColorScheme.DARK)) {
      enterDemo(page);
      String jar = standing(page);
      page.navigate(jar + "/strain");
      page.locator("input[name=amount]").fill("a lot of it");
      page.locator("summary", new Page.LocatorOptions().setHasText("What else was done")).click();
      page.locator("input[name=marc]").fill("92 g");
      page.locator(".when summary").first().click();
      page.locator("input[name=happened]").first().fill("this morning");
      press(page, "Strained");
      assertThat(page.locator("#refused")).containsText("lot of it");
      assertThat(page.locator("input[name=amount]")).isFocused();
      assertThat(page.locator("input[name=amount]")).hasValue("a lot of it");
      assertThat(page.locator("input[name=marc]")).hasValue("92 g");
      assertThat(page.locator("input[name=happened]").first()).hasValue("this morning");
      fitsTheScreen(page);
      accessible(page);
      page.locator("#refused a").first().click();
      assertThat(page.locator("input[name=amount]")).isFocused();
    }
  }

  @Test
  void aFormWaitsForTheHouseAndGoesOnce() throws Exception {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      String jar = standing(page);
      String said = "Away for a while " + System.nanoTime();
      note(page).fill(said);
      page.context().setOffline(true);
      Locator send = page.locator("form:has(textarea[name=text]) .button").first();
      send.click();
      assertThat(page.locator("#unreachable")).containsText("Nothing is lost");
      assertThat(send).isDisabled();
      page.context().setOffline(false);
      assertThat(page.locator(".notice")).containsText("Note");
      page.navigate(jar);
      assertThat(page.locator(".thread-of-log li", new Page.LocatorOptions().setHasText(said)))
          .hasCount(1);
    }
  }

  @Test
  void whoWasSignedOutFindsTheFormAsItWas() throws Exception {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      moveIntoANewHousehold(page, "METRIC");
      page.navigate("/kitchen");
      page.locator("summary", new Page.LocatorOptions().setHasText("Add a shelf")).first().click();
      page.locator("input[name=placeName]").fill("Loft by the chimney");
      List<Cookie> cookies = page.context().cookies();
      page.context().clearCookies();
      page.locator("form:has(input[name=placeName]) .button").click();
      arrived(page, "/sign-in");
      // signed in again
      page.context().addCookies(cookies);
      page.navigate("/kitchen");
      arrived(page, "/kitchen");
      assertThat(page.locator("#unreachable")).containsText("signed out");
      assertThat(page.locator("input[name=placeName]")).hasValue("Loft by the chimney");
    }
  }

  /** The house wrote it, and the answer was lost on the way: it is asked again, and writes once. */
  @Test
  void anAnswerThatIsLostIsAskedForAgain() throws Exception {
    try (LossyLine line = new LossyLine(port, "POST /batches/", 2);
        Page page = phoneWithItsWorker("http://localhost:" + line.port())) {
      enterDemo(page);
      page.waitForFunction("() => navigator.serviceWorker.controller !== null");
      page.navigate(
          page.locator("a[href^='/batches/']")
              .first()
              .getAttribute("href")
              .replaceAll("[#?].*", ""));
      note(page).fill("the line broke here");
      press(page, "Keep the note");
      assertThat(page.locator(".notice")).containsText("in the log already");
      assertThat(line.left()).isZero();
      assertThat(page.getByText("the line broke here")).hasCount(1);
    }
  }

  @Test
  void aLongListIsTypedInto() {
    try (Page page = page(360, ColorScheme.LIGHT)) {
      enterDemo(page);
      page.navigate("/bench");
      Locator list = page.locator("select[name='herbs[0].herb']");
      Locator field = page.locator("[data-lists='herbs[0].herb']");
      String before = list.inputValue();
      means(field, "dandelion", "Which one: Dandelion flower, Dandelion leaf");
      assertThat(list).hasValue(before);
      means(field, "dandylion", "is not in the list. Is it Dandelion flower");
      assertThat(list).hasValue(before);
      page.keyboard().press("Escape");
      assertThat(field).not().hasAttribute("aria-invalid", "true");
      page.waitForResponse("**/bench", () -> means(field, "elderfl", ""));
      assertThat(list).hasValue("elderflower");
      assertThat(field).isFocused();
      assertThat(page.locator("#told")).containsText("covers it");
      page.locator("#told").evaluate("region => { region.stays = true; }");
      page.waitForResponse("**/bench", () -> means(field, "Yarrow", ""));
      assertThat(list).hasValue("yarrow");
      assertThat(page.locator("#told").evaluate("region => region.stays")).isEqualTo(true);
    }
  }

  private static void means(Locator field, String typed, String said) {
    field.fill(typed);
    field.press("Enter");
    assertThat((String) field.evaluate("f => f.validationMessage")).contains(said);
  }

  /** The answer to the first choice comes late, and the second stands all the same. */
  @Test
  void aChoiceMadeWhileAnAnswerIsUnderWayStays() {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      page.navigate("/bench");
      JsonObject slow = new JsonObject();
      slow.addProperty("offline", false);
      slow.addProperty("latency", 400);
      slow.addProperty("downloadThroughput", -1);
      slow.addProperty("uploadThroughput", -1);
      page.context().newCDPSession(page).send("Network.emulateNetworkConditions", slow);
      page.waitForResponse(
          answer -> answer.url().endsWith("/bench"),
          () -> {
            page.locator("select[name=method]").selectOption("WARM");
            page.locator("select[name=use]").selectOption("KITCHEN");
          });
      page.waitForFunction(
          "() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling')");
      assertThat(page.locator("select[name=method]")).hasValue("WARM");
      assertThat(page.locator("select[name=use]")).hasValue("KITCHEN");
    }
  }
}
