package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Every main page on a phone in light and on the desk in dark: nothing wider than the screen, one
 * heading of the first order and a title of its own, nothing that axe finds, and on the phone no
 * more than six screens.
 */
class EveryPageBrowserTest extends BrowserPages {
  private static final int SCREENS = 6;
  private static final List<String> PAGES =
      List.of(
          "/",
          "/round",
          "/bench",
          "/bench/take-on",
          "/stove",
          "/stove/practice",
          "/cellar",
          "/cellar?by=oil",
          "/products",
          "/products/new",
          "/products/new?making=WHIPPED_BUTTER",
          "/products/recipes",
          "/products/reactions",
          "/drawer",
          "/drawer/ahead",
          "/drawer/drying/new",
          "/drawer/lots/new",
          "/kitchen",
          "/kitchen/catalogue",
          "/kitchen/own/HERB",
          "/journal",
          "/plans",
          "/plans/new",
          "/plans/what-if",
          "/trials",
          "/people",
          "/cellar/labels",
          "/herbs/yarrow");

  @ParameterizedTest
  @CsvSource({"360, LIGHT", "1280, DARK"})
  void everyPageFitsAndIsRead(int width, ColorScheme scheme) {
    List<String> findings = new ArrayList<>();
    try (Page page = page(width, scheme)) {
      enterDemo(page);
      Set<String> titles = new HashSet<>();
      for (String path : PAGES) {
        page.navigate(path);
        fitsTheScreen(page);
        note(findings, page, path, titles);
        Number height =
            (Number) page.evaluate("document.documentElement.scrollHeight / innerHeight");
        if (width == 360 && height.doubleValue() > SCREENS) {
          findings.add(path + " is " + height + " screens high");
        }
      }
    }
    assertThat(findings).isEmpty();
  }

  private static void note(List<String> findings, Page page, String path, Set<String> titles) {
    if (page.locator("h1").count() != 1) {
      findings.add(path + " has " + page.locator("h1").count() + " h1");
    }
    if (!path.contains("?") && !titles.add(page.title())) {
      findings.add(path + " is called as another: " + page.title());
    }
    new AxeBuilder(page)
        .analyze()
        .getViolations()
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
