package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.SelectOption;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A household in the United States, which never sees a gram and converts nothing by hand. */
class UsHouseBrowserTest extends BrowserPages {
  private static final Map<String, String> US =
      Map.of(
          "weights", "OUNCES",
          "volumes", "CUPS",
          "degrees", "FAHRENHEIT",
          "lengths", "INCHES",
          "dates", "MONTH_FIRST",
          "clock", "HOURS_12");
  private static final Map<String, String> METRIC =
      Map.of(
          "weights", "GRAMS",
          "volumes", "MILLILITRES",
          "degrees", "CELSIUS",
          "lengths", "MILLIMETRES",
          "dates", "DAY_FIRST",
          "clock", "HOURS_24");

  private static void reads(Page page, String cups, Map<String, String> choices) {
    page.navigate("/kitchen");
    Locator form = page.locator("form[action='/kitchen/settings']");
    form.locator("input[name=kitchen][value=" + cups + "]").check();
    choices.forEach((name, value) -> form.locator("select[name=" + name + "]").selectOption(value));
    form.locator("button").click();
    assertThat(page.locator(".notice")).containsText("Saved");
  }

  private static void settled(Page page) {
    page.waitForFunction(
        "() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling')");
  }

  private static void again(Page page, Runnable act) {
    page.waitForResponse(r -> r.url().endsWith("/bench"), act);
    settled(page);
  }

  private static void herb(Page page, int index, String herb, String amount) {
    if (index > 0) {
      again(page, () -> page.locator("button.more[value='herbs+']").click());
    }
    String row = "herbs[" + index + "].";
    again(page, () -> page.locator("select[name='" + row + "herb']").selectOption(herb));
    String field = index == 0 ? "amount" : row + "parts";
    page.locator("input[name='" + field + "']").fill(amount);
    settled(page);
  }

  @Test
  void fiveHerbsByQuartersOfACupInTwoOilsByThePintBecomeASalve() {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      reads(page, "US", US);
      try {
        String code = charged(page);
        strained(page, code);
        salve(page, code);
      } finally {
        reads(page, "METRIC", METRIC);
      }
    }
  }

  private String charged(Page page) {
    page.navigate("/bench");
    herb(page, 0, "yarrow", "a quarter of a cup");
    herb(page, 1, "calendula", "1/4 cup");
    herb(page, 2, "lavender", "¼ cup");
    herb(page, 3, "plantain", "quarter cup");
    herb(page, 4, "comfrey", "the same");
    assertThat(page.locator("input[name='herbs[0].parts']")).hasValue("a quarter of a cup");
    page.locator("input[name='oils[0].share']").fill("half a pint");
    again(page, () -> page.locator("button.more[value='oils+']").click());
    page.locator("input[name='oils[1].share']").fill("1/4 pint");
    settled(page);

    // what was understood stands beside each, and the ratio follows
    assertThat(page.locator(".of-oil").first()).containsText("cup");
    assertThat(page.locator(".of-herb").last()).containsText("oz");
    assertThat(page.locator("#result h2")).containsText("cups of oil covers it");
    assertThat(page.locator("select[name=ratioKind]")).isHidden();
    fitsTheScreen(page);
    accessible(page);
    noMetric(page, "#result");

    page.getByLabel("Charged on").fill(today().minusDays(30).toString());
    page.getByText("I do not know the oil’s dates").click();
    page.getByLabel("Jar and herb are clean").check();
    press(page, "Charge the jar");
    arrived(page, "/batches/[A-Z0-9]+$");
    noMetric(page, "main dl");
    return page.url().replaceAll(".*/", "");
  }

  private static void strained(Page page, String code) {
    page.navigate("/batches/" + code + "/strain");
    page.getByLabel("What came out?").fill("1 1/4 cups");
    assertThat(page.locator(".understood").first()).containsText("1¼ cups");
    press(page, "Strained");
    assertThat(page.locator("h2").first()).containsText("1¼ cups came out");
    page.getByLabel("The bottles are clean and dry").check();
    page.getByLabel("The oil is cold").check();
    press(page, "Bottle it");
    assertThat(page.locator("main")).containsText("Good until");
  }

  private static void salve(Page page, String code) {
    page.navigate("/products/new");
    page.waitForResponse(
        r -> r.url().endsWith("/products/new"),
        () -> {
          page.locator("select[name='parts[0].thing']")
              .selectOption(new SelectOption().setValue("bottle:" + code + "-A"));
          Locator amount = page.locator("input[name='parts[0].amount']");
          amount.fill("half a cup");
          amount.blur();
        });
    settled(page);
    assertThat(page.locator("#melt")).containsText("of beeswax");
    assertThat(page.locator("#melt")).containsText("oz");
    page.waitForResponse(
        r -> r.url().endsWith("/products/new"),
        () -> {
          page.locator("select[name='parts[1].thing']")
              .selectOption(new SelectOption().setValue("wax:beeswax"));
          Locator amount = page.locator("input[name='parts[1].amount']");
          amount.fill("0.75 oz");
          amount.blur();
        });
    settled(page);
    Locator done =
        page.locator("#melt .button:visible", new Page.LocatorOptions().setHasText("Weigh it in"))
            .last();
    assertThat(done).isVisible();
    done.click();
    arrived(page, "/products/[A-Z]{2}\\d{2}$");
    assertThat(page.locator(".thread-of-log")).containsText("0.75 oz");
  }

  /** Oil by the cup, from moving in to the tag on its lid: at most 20 taps and 25 letters. */
  @Test
  void theFirstJarOfANewHouseholdTakesFewTapsAndLetters() throws Exception {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      moveIntoANewHousehold(page, "US");
      int[] taps = {0};
      int[] letters = {0};
      tap(page.locator("[data-key='2']"), taps);
      arrived(page, "/bench$");
      type(page.locator("input[name=amount]"), "a cup", taps, letters);
      settled(page);
      type(page.locator("input[name='oils[0].share']"), "1 1/2 cups", taps, letters);
      settled(page);
      assertThat(page.locator("#result h2")).containsText("covers it");
      tap(page.getByText("I do not know the oil’s dates"), taps);
      tap(page.getByLabel("Jar and herb are clean"), taps);
      press(page, "Charge the jar");
      taps[0]++;
      arrived(page, "/batches/[A-Z0-9]+$");
      tap(page.getByText("Print the lid tag"), taps);
      arrived(page, "/batches/[A-Z0-9]+/tag$");
      noMetric(page, "main");
      assertThat(taps[0]).isLessThanOrEqualTo(20);
      assertThat(letters[0]).isLessThanOrEqualTo(25);
    }
  }

  private static void tap(Locator what, int... taps) {
    what.click();
    taps[0]++;
  }

  private static void type(Locator field, String text, int[] taps, int[] letters) {
    field.fill(text);
    taps[0]++;
    letters[0] += text.length();
  }

  /** Nothing there but a jar’s own name reads in g, ml, mm or °C. */
  private static void noMetric(Page page, String where) {
    for (String text : page.locator(where).allInnerTexts()) {
      assertThat(text.replaceAll("[Jj]ar [\\d.]+ ml", ""))
          .doesNotContainPattern("\\d\\s?(?:g|kg|ml|l|mm|cm)\\b|°C");
    }
  }
}
