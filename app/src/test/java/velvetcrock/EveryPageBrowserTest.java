package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.demo.DemoHousehold;

/**
 * Every main page on a phone in light and on the desk in dark: nothing wider than the screen, one
 * heading of the first order and a title of its own, nothing that axe finds, and on the phone no
 * more than six screens and nothing to tap that is too small for a thumb.
 */
class EveryPageBrowserTest extends BrowserPages {
  private static final int SCREENS = 6;
  private static final List<String> BEFORE_SIGN_IN = List.of("/sign-in", "/lost");
  private static final List<String> PAGES =
      List.of(
          "/",
          "/round",
          "/bench",
          "/bench?method=SPIRIT",
          "/bench?herbs%5B0%5D.state=FRESH",
          "/bench/take-on",
          "/stove",
          "/stove/practice",
          "/cellar",
          "/cellar?by=oil",
          "/cellar/labels",
          "/products",
          "/products/new",
          "/products/new?making=WHIPPED_BUTTER",
          "/products/recipes",
          "/products/reactions",
          "/drawer",
          "/drawer/ahead",
          "/drawer/drying/new",
          "/drawer/lots/new",
          "/drawer/of/HERB/violet-leaf",
          "/kitchen",
          "/kitchen/catalogue",
          "/kitchen/own/HERB",
          "/calendar",
          "/journal",
          "/plans",
          "/plans/new",
          "/plans/what-if",
          "/trials",
          "/people",
          "/herbs/yarrow",
          "/licences",
          "/nowhere",
          "/api");

  /** Pages of one thing: where a link to it stands, which of them, and what of it. */
  private static final List<String[]> OF_ONE =
      List.of(
          new String[] {"/", "a.stand:has-text('Self-heal')", ""},
          new String[] {"/", "a.stand:has-text('Self-heal')", "/tag"},
          new String[] {"/", "a.stand:has-text('Self-heal')", "/strain"},
          new String[] {"/", "a.stand:has-text('Self-heal')", "/oil-age"},
          new String[] {"/cellar", "a.spot-in", ""},
          new String[] {"/cellar", "a.spot-in", "/label"},
          new String[] {"/products", ".product-board a >> nth=1", ""},
          new String[] {"/products", ".product-board a:has-text('in the pan')", ""},
          new String[] {"/stove", "a[href^='/stove/']:not([href$=practice])", ""});

  /** What is tapped, each as wide and as high as a thumb needs, or else as a line of text does. */
  private static final String TOO_SMALL =
      """
      () => {
        const small = [];
        const shown = at => at.checkVisibility({ visibilityProperty: true, opacityProperty: true });
        for (const at of document.querySelectorAll('a[href], button, summary, input, select, textarea')) {
          if (!shown(at) || at.closest('svg') || at.type === 'hidden') continue;
          const area = (at.type === 'checkbox' || at.type === 'radio') && at.closest('label') || at;
          const { width, height } = area.getBoundingClientRect();
          if (width <= 1) continue;
          const thumb = at.matches('.button, .errand button, .foot-line button, [data-quick] > summary');
          const inText = at.matches('a') && getComputedStyle(at).display === 'inline';
          if (!inText && Math.min(width, height) < (thumb ? 44 : 24) - 0.5)
            small.push(`${Math.round(width)}×${Math.round(height)} ${at.outerHTML.slice(0, 120)}`);
        }
        return [...new Set(small)].slice(0, 4);
      }""";

  @Autowired DemoHousehold demo;

  /** Other tests write in it too. */
  @BeforeEach
  void asItIsMade() {
    demo.putBack();
  }

  @ParameterizedTest
  @CsvSource({"360, LIGHT", "1280, DARK"})
  void everyPageFitsAndIsRead(int width, ColorScheme scheme) throws Exception {
    List<String> findings = new ArrayList<>();
    Set<String> titles = new HashSet<>();
    try (Page page = page(width, scheme)) {
      BEFORE_SIGN_IN.forEach(path -> look(findings, page, path, titles));
      enterDemo(page);
      Stream.concat(PAGES.stream(), ofOne(page).stream())
          .distinct()
          .forEach(path -> look(findings, page, path, titles));
    }
    try (Page page = page(width, scheme)) {
      moveIntoANewHousehold(page, "METRIC");
      page.navigate("/people");
      String one = page.locator("main a[href^='/people/']").first().getAttribute("href");
      press(page, "Make an invitation link");
      String link = page.locator("#link").inputValue();
      Stream.of("/account", "/account/codes", "/happened", "/erase", one, link)
          .forEach(path -> look(findings, page, path, titles));
    }
    assertThat(findings).isEmpty();
  }

  private static List<String> ofOne(Page page) {
    List<String> paths = new ArrayList<>();
    for (String[] one : OF_ONE) {
      page.navigate(one[0]);
      paths.add(page.locator(one[1]).first().getAttribute("href") + one[2]);
    }
    return paths;
  }

  private static void look(List<String> findings, Page page, String path, Set<String> titles) {
    int status = page.navigate(path).status();
    if (status != (path.equals("/nowhere") ? 404 : 200)) {
      findings.add(path + " is answered with " + status);
    }
    fitsTheScreen(page);
    note(findings, page, path, titles);
    if (page.viewportSize().width < 500) {
      double height =
          ((Number) page.evaluate("document.documentElement.scrollHeight / innerHeight"))
              .doubleValue();
      if (height > SCREENS) {
        findings.add(path + " is " + height + " screens high");
      }
      ((List<?>) page.evaluate(TOO_SMALL)).forEach(at -> findings.add(path + " too small: " + at));
    }
  }

  private static void note(List<String> findings, Page page, String path, Set<String> titles) {
    if (page.locator("h1").count() != 1) {
      findings.add(path + " has " + page.locator("h1").count() + " h1");
    }
    if (!path.contains("?") && !titles.add(page.title())) {
      findings.add(path + " is called as another: " + page.title());
    }
    violations(page)
        .forEach(
            v ->
                findings.add(
                    path
                        + " at "
                        + page.viewportSize().width
                        + ": "
                        + v.getId()
                        + " "
                        + v.getNodes().get(0).getHtml()));
  }
}
