package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.SelectOption;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import velvetcrock.core.making.ProductKind;

/** Products through the real interface, from the sentence to the tin. */
class ProductsBrowserTest extends BrowserPages {
  /** Chooses what is made and waits until the sentence is written anew. */
  private static void make(Page page, ProductKind making) {
    page.navigate("/products/new");
    if (making != ProductKind.SALVE) {
      page.waitForResponse(
          response -> response.url().endsWith("/products/new"),
          () -> page.locator("select[name=making]").selectOption(making.name()));
    }
    assertThat(page.locator("select[name=making]")).hasValue(making.name());
  }

  private static void part(Page page, int index, String thing, String amount) {
    Locator choice = page.locator("select[name='parts[" + index + "].thing']");
    choice.selectOption(new SelectOption().setValue(thing));
    Locator typed = page.locator("input[name='parts[" + index + "].amount']");
    typed.fill(amount);
    typed.blur();
  }

  private static void weighIn(Page page) {
    Locator done =
        page.locator("#melt .button:visible", new Page.LocatorOptions().setHasText("Weigh it in"))
            .last();
    assertThat(done).isVisible();
    done.click();
    arrived(page, "/products/[A-Z]{2}\\d{2}$");
  }

  @Test
  void aSalveFromItsOilToItsTinsOneOfThemGivenAway() {
    Page page = page(1280, ColorScheme.LIGHT);
    enterDemo(page);
    make(page, ProductKind.SALVE);
    page.waitForResponse(
        response -> response.url().endsWith("/products/new"),
        () -> part(page, 0, "carrier:jojoba", "100 ml"));
    assertThat(page.locator("#melt")).containsText("of beeswax");
    page.waitForResponse(
        response -> response.url().endsWith("/products/new"),
        () -> {
          page.locator("input[name=hardness]").fill("1:4");
          page.locator("input[name=hardness]").blur();
        });
    assertThat(page.locator("#melt .hardness")).containsText("1:4");
    fitsTheScreen(page);
    accessible(page);
    weighIn(page);

    press(page, "a bit hard");
    assertThat(page.locator("section[aria-label='Spoon test']"))
        .containsText(Pattern.compile("Add .* of jojoba"));
    page.getByText("Add something to the pan").click();
    for (int i = 0; i < 4; i++) {
      page.locator("[data-drop]").click();
    }
    assertThat(page.locator("[data-drop-count]")).hasValue("4");
    page.locator("details:has(.drop-counter) button.plain").click();
    page.waitForLoadState();
    assertThat(page.locator(".thread-of-log")).containsText("4 drops lavender");

    page.getByText("More sizes, or some for others").click();
    page.locator("#size1").fill("15 ml");
    press(page, "Fill with least left over");
    page.waitForLoadState();
    assertThat(page.locator("#count0")).not().hasValue("");
    press(page, "It is poured");
    page.waitForLoadState();
    assertThat(page.locator(".tin-list").first()).containsText("A1");
    page.locator("#to").fill("the ferry crew");
    page.locator("section[aria-label=Tins] form button.plain").first().click();
    page.waitForLoadState();
    assertThat(page.locator(".tin-list").first()).containsText("given away, to the ferry crew");
    page.locator("[data-undo]").click();
    page.waitForLoadState();
    assertThat(page.locator(".tin-list").first()).not().containsText("the ferry crew");
    accessible(page);

    page.getByText("Print labels").click();
    Download pdf = page.waitForDownload(() -> press(page, "Make the PDF"));
    assertThat(pdf.suggestedFilename()).endsWith(".pdf");
  }

  @Test
  void everyKindIsWeighedInAndShowsHowItIsWorked() {
    Page wide = page(1280, ColorScheme.LIGHT);
    Page phone = page(360, ColorScheme.LIGHT);
    enterDemo(wide);
    enterDemo(phone);
    for (ProductKind making : ProductKind.values()) {
      isWeighedIn(making.ordinal() % 2 == 0 ? wide : phone, making);
    }
  }

  private static void isWeighedIn(Page page, ProductKind making) {
    make(page, making);
    if (making != ProductKind.POULTICE) {
      boolean pads = making == ProductKind.COMPRESS_PADS;
      page.waitForResponse(
          response -> response.url().endsWith("/products/new"),
          () -> part(page, 0, pads ? "carrier:coconut" : "carrier:jojoba", "60 g"));
      if (pads) {
        page.waitForResponse(
            response -> response.url().endsWith("/products/new"),
            () -> part(page, 1, "carrier:jojoba", "5 ml"));
      }
    }
    fitsTheScreen(page);
    weighIn(page);

    assertThat(page.locator(".product-steps li").first()).isVisible();
    fitsTheScreen(page);
    if (making == ProductKind.WHIPPED_BUTTER) {
      press(page, "set at the edge");
      page.waitForLoadState();
      assertThat(page.locator("section[aria-label=Whipping]")).containsText("Whip it");
    } else if (making.filled()) {
      press(page, "It is poured");
      page.waitForLoadState();
      assertThat(page.locator(".tin-list li").first()).containsText("A1");
    }
  }

  @Test
  void aTimerOfAStepRuns() {
    Page page = page(360, ColorScheme.LIGHT);
    enterDemo(page);
    stopTimers(page);
    page.navigate("/products");
    page.getByText("Harbour salve").click();
    page.waitForLoadState();
    String product = page.url();
    page.locator("button[aria-label^='Start a timer']").first().click();
    assertThat(page.locator(".page-clocks .code").first())
        .containsText(Pattern.compile("\\d:\\d\\d"));
    assertThat(page).hasURL(product);
    page.reload();
    assertThat(page.locator(".page-clocks .code").first())
        .containsText(Pattern.compile("\\d:\\d\\d"));
    page.locator("[data-tone]").first().click();

    try (Page other = page(1280, ColorScheme.LIGHT)) {
      enterDemo(other);
      other.navigate("/cellar");
      assertThat(other.locator(".page-clocks .clock")).hasCount(1);
      accessible(other);
      other.locator(".page-clocks .clock button").click();
      assertThat(other.locator(".page-clocks")).hasCount(0);
      assertThat(other).hasURL(Pattern.compile(".*/cellar$"));
    }
    page.reload();
    assertThat(page.locator(".page-clocks")).hasCount(0);
    page.navigate("/round");
    assertThat(page.locator("[data-tone]")).hasText("Tone is on");
  }

  @Test
  void whatIsTypedWhileAChoiceRedrawsTheSentenceStays() {
    Page page = page(1280, ColorScheme.LIGHT);
    enterDemo(page);
    page.navigate("/products/new");
    List<Route> held = new ArrayList<>();
    page.route(
        "**/products/new",
        route -> {
          if (held.isEmpty()) {
            held.add(route);
          } else {
            route.resume();
          }
        });
    page.locator("select[name=making]").selectOption(ProductKind.COMPRESS_PADS.name());
    page.waitForCondition(() -> !held.isEmpty());
    Locator amount = page.locator("input[name='parts[0].amount']");
    amount.fill("10 ml");

    held.get(0).resume();

    assertThat(page.locator("input[name=layers]")).isVisible();
    assertThat(amount).hasValue("10 ml");
    assertThat(amount).isFocused();
    assertThat(page.locator("#melt")).containsText(Pattern.compile("\\s9\\.\\d+.g"));
  }
}
