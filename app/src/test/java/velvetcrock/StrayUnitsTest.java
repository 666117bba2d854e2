package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.net.URI;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Walks every page of a household that has everything, as a US, a UK and a metric one would read
 * it, each with a browser of another language: no gram, millilitre, millimetre, °C, A4 or British
 * word where ounces are read, and none of the others where they are not. What stands in brackets
 * behind its other unit, and what somebody typed, may.
 */
class StrayUnitsTest extends AppTest {
  private static final Pattern METRIC =
      Pattern.compile(
          "(?:\\d|, )\\s?(?:g|kg|ml|l|mm|cm)\\b(?!/| a gram)|°C|\\bA4\\b(?=,| \\d| plain| paper)");
  private static final Pattern CUSTOMARY =
      Pattern.compile(
          "[\\d½¼¾⅓⅔⅛]\\s?(?:fl oz|oz|lb|cups?|tbsp|tsp|in(?=[.,;)]|$))(?!\\w)|°F|\\bLetter\\b");
  private static final Pattern BRITISH =
      Pattern.compile("(?i)\\b(?:colours?|mould[sy]?|(?:milli)?litres?|ageing|vapour)\\b");
  private static final Pattern AMERICAN =
      Pattern.compile("(?i)\\b(?:colors?|molds?|(?:milli)?liters?|aging|vapor)\\b");

  /** One of several, several of one, two full stops, and more digits than anybody can measure. */
  private static final Pattern CARELESS =
      Pattern.compile(
          "(?<![\\d.:/–-] ?)\\b1 (?:jars|bottles|tins|batches|days|weeks|months|years|hours|minutes|drops"
              + "|herbs|oils|lots|entries|readings|tests|trials|vessels|spoons|parts|labels|bars|pads|runs"
              + "|times|visits)\\b"
              + "|\\b(?:[2-9]|[1-9]\\d{1,2}) (?:jar|bottle|tin|batch|day|week|month|year|hour|minute|drop|lot"
              + "|entry|reading|trial|vessel|label)\\b(?! of the| [A-Z]\\d)"
              + "|(?<!\\.)\\.\\.(?!\\.)|[?!]\\.(?!\\.)"
              + "|\\b\\d{4,} (?:ml|mm)\\b|\\b[1-9]\\d*\\.\\d\\d+ ?%|\\b\\d{2,}\\.\\d\\d (?:g|ml)\\b"
              + "|\\d\\.\\d{3,} (?:g|ml|oz|lb)\\b(?!/)");

  /** A jar is called by what is written on it where it is sold. */
  private static final Pattern NAMES =
      Pattern.compile(
          "(?i)(?:jar|bottle|tin|pint|size|flask)[\\w ,-]* (?:fl )?oz\\b|[\\d.½]+ (?:fl )?oz (?:jar|bottle|tin)");

  /** A figure behind its other unit, and what somebody typed. */
  private static final String TWOFOLD =
      "(?<=\\w|[½¼¾⅓⅔⅛]|°[CF]) \\((?:(?:about )?[\\d.–½¼¾⅓⅔⅛⅜⅝⅞ +]+"
          + "(?:kg|ml|mm|cm|g|l|fl oz|oz|lb|cups?|tbsp|tsp|in|°C|°F))+\\)|“[^”]*”";

  private static final int MOST_OF_ONE_KIND = 2;

  private static final List<String> US =
      List.of(
          "zone=America/Chicago",
          "kitchen=US",
          "weights=OUNCES",
          "volumes=CUPS",
          "degrees=FAHRENHEIT",
          "lengths=INCHES",
          "dates=MONTH_FIRST",
          "clock=HOURS_12",
          "weekBegins=SUNDAY",
          "paper=LETTER",
          "spelling=AMERICAN",
          "currency=USD");
  private static final List<String> UK =
      List.of(
          "zone=Europe/London",
          "kitchen=IMPERIAL",
          "weights=GRAMS",
          "volumes=MILLILITRES",
          "degrees=CELSIUS",
          "lengths=MILLIMETRES",
          "dates=DAY_FIRST",
          "clock=HOURS_12",
          "weekBegins=MONDAY",
          "paper=A4",
          "spelling=BRITISH",
          "currency=GBP");
  private static final List<String> METRIC_HOUSE =
      List.of(
          "zone=Europe/Oslo",
          "kitchen=METRIC",
          "weights=GRAMS",
          "volumes=MILLILITRES",
          "degrees=CELSIUS",
          "lengths=MILLIMETRES",
          "dates=YEAR_FIRST",
          "clock=HOURS_24",
          "weekBegins=MONDAY",
          "paper=A4",
          "spelling=BRITISH",
          "currency=EUR");

  final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  RequestMappingHandlerMapping routes;

  private Somebody ailsa;
  private Real real;
  private Map<String, Object> before;

  @BeforeEach
  void atTheCottage() {
    UUID cottage =
        jdbc.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    ailsa = new Somebody(cottage, "Ailsa");
    real = new Real(jdbc, cottage);
    before = jdbc.queryForMap("select * from household where id = ?", cottage);
  }

  /** Other tests read the same household as it was. */
  @AfterEach
  void asItWas() {
    before.forEach(
        (column, value) -> TestCluster.shared().write(ailsa.householdId(), column + " = ?", value));
  }

  private void settle(List<String> choices) throws Exception {
    List<String> fields = new ArrayList<>(List.of("household", "Keeper’s cottage"));
    choices.forEach(choice -> fields.addAll(List.of(choice.split("="))));
    send(ailsa, "/kitchen/settings", fields.toArray(String[]::new))
        .andExpect(status().is3xxRedirection());
  }

  /** All pages there are, one of each kind at least, and what they lead to. */
  private Map<String, Document> pages(Locale browser) throws Exception {
    Deque<String> left = new ArrayDeque<>();
    for (var route : routes.getHandlerMethods().keySet()) {
      Set<RequestMethod> methods = route.getMethodsCondition().getMethods();
      if (methods.contains(RequestMethod.GET)) {
        route.getPatternValues().forEach(pattern -> left.add(real.path(pattern)));
      }
    }
    Map<String, Document> pages = new HashMap<>();
    Map<String, Integer> kinds = new HashMap<>();
    Set<String> seen = new HashSet<>();
    while (!left.isEmpty()) {
      String path = left.poll();
      boolean stream = path.equals("/stove/live") || path.startsWith("/api");
      if (stream || path.startsWith("/people/export") || !seen.add(path)) {
        continue;
      }
      MockHttpServletResponse response =
          mvc.perform(get(URI.create(path)).locale(browser).with(authentication(signedIn(ailsa))))
              .andReturn()
              .getResponse();
      String type = response.getContentType();
      if (response.getStatus() != 200 || type == null || !type.startsWith("text/html")) {
        continue;
      }
      Document page = Jsoup.parse(response.getContentAsString());
      pages.put(path, page);
      for (Element link : page.select("main a[href^=/]")) {
        String next = link.attr("href").replaceAll("#.*", "");
        String kind = next.replaceAll("\\b[A-Z0-9]{3,5}(-[A-Z])?\\b|[0-9a-f-]{36}|\\?.*", "*");
        if (!next.contains("export") && kinds.merge(kind, 1, Integer::sum) <= MOST_OF_ONE_KIND) {
          left.add(next);
        }
      }
    }
    return pages;
  }

  private Set<String> strays(Locale browser, Pattern units, Pattern words) throws Exception {
    Map<String, Document> pages = pages(browser);
    assertThat(pages).hasSizeGreaterThan(70);
    Set<String> strays = new TreeSet<>();
    pages.forEach(
        (path, page) -> {
          page.select("[data-as-is], title").remove();
          StringBuilder all = new StringBuilder(page.body().text());
          page.select("input:not([type=hidden], [type=radio], [type=checkbox]), textarea")
              .forEach(
                  i ->
                      all.append(" | ")
                          .append(i.val())
                          .append(" | ")
                          .append(i.attr("placeholder")));
          for (Pattern stray : List.of(units, words)) {
            found(all.toString(), stray).forEach(found -> strays.add(path + ": " + found));
          }
          page.select("table.reckoning").remove();
          found(page.body().text(), CARELESS).forEach(found -> strays.add(path + ": " + found));
        });
    return strays;
  }

  private static List<String> found(String page, Pattern stray) {
    String text = NAMES.matcher(page.replaceAll(TWOFOLD, "")).replaceAll("");
    List<String> found = new ArrayList<>();
    Matcher matcher = stray.matcher(text);
    while (matcher.find()) {
      int from = Math.max(0, matcher.start() - 40);
      found.add(text.substring(from, Math.min(text.length(), matcher.end() + 15)));
    }
    return found;
  }

  @ParameterizedTest
  @CsvSource({
    "Pour 300 ml of it, METRIC, true",
    "Pour 1¼ cups (300 ml) of it, METRIC, false",
    "typed “300 ml” there, METRIC, false",
    "at 43 °C, METRIC, true",
    "'Depth inside, cm', METRIC, true",
    "printed on A4 paper, METRIC, true",
    "12 grapes in tin A4, METRIC, false",
    "8 oz of wax, CUSTOMARY, true",
    "60 g (2.1 oz) of wax, CUSTOMARY, false",
    "3 in a row, CUSTOMARY, false",
    "½ in., CUSTOMARY, true",
    "a 4 oz tin, CUSTOMARY, false",
    "a dark colour, BRITISH, true",
    "coloured by hand, BRITISH, false",
    "some mold, AMERICAN, true"
  })
  void aStrayIsSeen(String text, String kind, boolean stray) {
    Pattern pattern =
        Map.of("METRIC", METRIC, "CUSTOMARY", CUSTOMARY, "BRITISH", BRITISH, "AMERICAN", AMERICAN)
            .get(kind);
    assertThat(found(text, pattern)).hasSize(stray ? 1 : 0);
  }

  @Test
  void noPageHasAStray() throws Exception {
    settle(US);
    assertThat(strays(Locale.GERMANY, METRIC, BRITISH)).as("US").isEmpty();
    settle(UK);
    assertThat(strays(Locale.US, CUSTOMARY, AMERICAN)).as("UK").isEmpty();
    settle(METRIC_HOUSE);
    assertThat(strays(Locale.UK, CUSTOMARY, AMERICAN)).as("metric").isEmpty();
  }
}
