package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import velvetcrock.products.ProductRecord;

/**
 * Pages of a household that reads ounces, cups, °F and inches show no gram, millilitre, millimetre
 * or °C, and those of a metric one none of the others. Names of jars stay as they are, and what was
 * typed stays as it was typed.
 */
class StrayUnitsTest extends ProductHouse {
  private static final Pattern METRIC =
      Pattern.compile("\\d\\s?(?:g|kg|ml|l|mm|cm)\\b(?!/)|°C|\\bA4\\b");
  private static final Pattern CUSTOMARY =
      Pattern.compile(
          "[\\d½¼¾⅓⅔⅛]\\s?(?:oz|lb|cups?|tbsp|tsp|in(?! (?:a|the|no|it)\\b))\\b|°F|\\bLetter\\b");
  private static final Pattern NAMES =
      Pattern.compile(
          "(?i)[\\w-]*(?: narrow| squat| size)? ?(?:jar|bottle) [\\d.]+ (?:ml|fl oz|litre)");

  private List<String> pages() throws Exception {
    String code = bottled(40);
    String standing = charge(9);
    ProductRecord product = begun(salve(code, "60 ml", "12 g"));
    pour(product, "30 ml", "BODY");
    return List.of(
        "/",
        "/round",
        "/bench",
        "/stove",
        "/cellar",
        "/products",
        "/drawer",
        "/plans",
        "/batches/" + standing,
        "/batches/" + code,
        "/batches/" + standing + "/strain",
        "/cellar/" + code + "/A");
  }

  private void settle(String... choices) throws Exception {
    List<String> fields =
        new ArrayList<>(List.of("household", "Test kitchen", "zone", "Europe/Oslo"));
    fields.addAll(List.of(choices));
    send(keeper, "/kitchen/settings", fields.toArray(String[]::new))
        .andExpect(status().is3xxRedirection());
  }

  private List<String> strays(List<String> pages, Pattern unit) throws Exception {
    List<String> strays = new ArrayList<>();
    for (String page : pages) {
      Document html =
          Jsoup.parse(
              visit(keeper, page)
                  .andExpect(status().isOk())
                  .andReturn()
                  .getResponse()
                  .getContentAsString());
      // what was typed, what is folded away with both, and names of vessels
      html.select("table.reckoning, option, .thread, .thread-of-log, .log, title").remove();
      String text = NAMES.matcher(html.select("main").text()).replaceAll("");
      // ratios stay grams to millilitres
      text = text.replaceAll("a gram of \\w+ keeps [\\d.–]+ ml", "");
      Matcher matcher = unit.matcher(text);
      while (matcher.find()) {
        int from = Math.max(0, matcher.start() - 30);
        strays.add(page + ": " + text.substring(from, Math.min(text.length(), matcher.end() + 10)));
      }
    }
    return strays;
  }

  @Test
  void aHouseholdOfOuncesAndCupsSeesNoGram() throws Exception {
    List<String> pages = pages();
    settle(
        "kitchen",
        "US",
        "weights",
        "OUNCES",
        "volumes",
        "CUPS",
        "degrees",
        "FAHRENHEIT",
        "lengths",
        "INCHES",
        "paper",
        "LETTER");
    assertThat(strays(pages, METRIC)).isEmpty();
  }

  @Test
  void aMetricHouseholdSeesNoOunce() throws Exception {
    List<String> pages = pages();
    settle("kitchen", "METRIC");
    assertThat(strays(pages, CUSTOMARY)).isEmpty();
  }
}
