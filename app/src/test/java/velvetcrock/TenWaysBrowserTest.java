package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.Hand.Manner;

/**
 * Ten ways from herb to label on a screen of 360, each by touch and by keys alone, with what is
 * tapped and typed counted: what grows beyond it is a step back. By keys the line is slow and
 * breaks once before something is sent.
 */
class TenWaysBrowserTest extends BrowserPages {
  private static final String BATCH = "/batches/[A-Z0-9]+$";
  private static final String PRODUCT = "/products/[A-Z]{2}\\d{2}$";

  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  /** What somebody does at a page. */
  private interface Way {
    void go(Page page, Hand hand) throws Exception;
  }

  private void inAKitchen(Manner manner, String kitchen, Way way) throws Exception {
    try (Page page = phone()) {
      moveIntoANewHousehold(page, kitchen);
      Hand hand = new Hand(page, manner);
      hand.overASlowLine();
      way.go(page, hand);
      fitsTheScreen(page);
    }
  }

  private void inTheDemo(Manner manner, Way way) throws Exception {
    try (Page page = phone()) {
      enterDemo(page);
      Hand hand = new Hand(page, manner);
      hand.overASlowLine();
      way.go(page, hand);
      fitsTheScreen(page);
    }
  }

  /** What was charged today stood for some weeks: time goes by of itself. */
  private static void weeksAgo(Page page, int days) {
    Locator charged = page.getByLabel("Charged on");
    charged.fill(java.time.LocalDate.parse(charged.getAttribute("max")).minusDays(days).toString());
  }

  private static Locator named(Page page, String name) {
    return page.locator("[name='" + name + "']:visible");
  }

  private static void charged(Page page, Hand hand) {
    hand.check("I do not know the oil’s dates");
    hand.check("clean");
    hand.theLineBreaks();
    hand.send("Charge the jar", BATCH);
  }

  private static void strained(Page page, Hand hand, String amount) {
    page.navigate(page.url().replaceAll("[#?].*", "") + "/strain");
    hand.type("What came out?", amount);
    hand.send("Strained", "/bottle$");
  }

  private static void looked(Page page, Hand hand, String look) {
    page.evaluate("() => { window.sentFromHere = true; }");
    hand.tap(page.locator("button[name=look][value=" + look + "]"));
    page.waitForFunction("() => window.sentFromHere === undefined");
  }

  private static void bottled(Page page, Hand hand) {
    hand.check("The bottles are clean and dry");
    hand.check("The oil is cold and the caps are on");
    hand.send("Bottle it", "/cellar/");
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void aJarHalfFilledByEyeToStrainedOil(Manner manner) throws Exception {
    inAKitchen(
        manner,
        "US",
        (page, hand) -> {
          hand.tap(page.getByText("Herb and oil, to go into a jar"));
          arrived(page, "/bench$");
          hand.pick(named(page, "ratioKind"), "fill", "/bench");
          hand.pick(named(page, "herbs[0].herb"), "mullein-flower", "/bench");
          hand.pick(named(page, "jar"), "us-quart", "/bench");
          hand.pick(named(page, "herbFill"), "0.5", "/bench");
          hand.pick(named(page, "oilFill"), "0.85", "/bench");
          weeksAgo(page, 38);
          charged(page, hand);
          assertThat(page.locator("main")).containsText("Strain");
          strained(page, hand, "2 cups");
          assertThat(page.locator("h2").first()).containsText("came out");
          hand.within(22, 6);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void aBlendByCupsToASalveOfOunces(Manner manner) throws Exception {
    inAKitchen(
        manner,
        "US",
        (page, hand) -> {
          hand.tap(page.getByText("Herb and oil, to go into a jar"));
          arrived(page, "/bench$");
          page.waitForResponse(r -> r.url().endsWith("/bench"), () -> hand.tap("+ another herb"));
          hand.pick(named(page, "herbs[1].herb"), "elderflower", "/bench");
          hand.say(named(page, "herbs[0].parts"), "1/2 cup", "/bench/reckon");
          hand.say(named(page, "oils[0].share"), "a pint", "/bench/reckon");
          weeksAgo(page, 38);
          charged(page, hand);
          strained(page, hand, "1 1/2 cups");
          bottled(page, hand);
          hand.tap("Make a product of it");
          arrived(page, "/products/new");
          hand.say(named(page, "parts[0].amount"), "all", "/products/new");
          hand.say(named(page, "size"), "2 oz", "/products/new");
          hand.send("Weigh it in", PRODUCT);
          hand.theLineBreaks();
          hand.send("It is poured", PRODUCT);
          assertThat(page.getByText("Print labels").first()).isVisible();
          hand.within(30, 40);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void freshRootInABathUntilDryStrainedAndMadeIntoABalmWithItsCautions(Manner manner)
      throws Exception {
    inAKitchen(
        manner,
        "METRIC",
        (page, hand) -> {
          page.navigate("/bench");
          hand.pick(named(page, "herbs[0].state"), "FRESH", "/bench");
          hand.pick(named(page, "herbs[0].herb"), "ginger", "/bench");
          hand.say(named(page, "amount"), "150 g", "/bench/reckon");
          hand.pick(named(page, "method"), "WARM", "/bench");
          hand.check("I have read");
          charged(page, hand);
          hand.type("Vessel and all weigh", "2400 g");
          hand.send("Log the weight", BATCH);
          assertThat(page.locator("#weigh")).containsText("is dry at");
          hand.type("Vessel and all weigh", "2285 g");
          hand.send("Log the weight", BATCH);
          assertThat(page.locator("#weigh")).containsText("Driven dry");
          strained(page, hand, "700 ml");
          bottled(page, hand);
          hand.tap("Make a product of it");
          arrived(page, "/products/new");
          hand.pick(named(page, "making"), "FIRM_BALM", "/products/new");
          assertThat(page.locator("#melt")).containsText("urn");
          hand.send("Weigh it in", PRODUCT);
          hand.send("It is poured", PRODUCT);
          assertThat(page.locator("main")).containsText("eyes");
          hand.within(36, 30);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void throughSpiritPowderAndASunnyWeek(Manner manner) throws Exception {
    inAKitchen(
        manner,
        "METRIC",
        (page, hand) -> {
          page.navigate("/bench");
          hand.pick(named(page, "herbs[0].herb"), "meadowsweet", "/bench");
          hand.choose(named(page, "herbs[0].cut"), "POWDER");
          hand.pick(named(page, "method"), "SPIRIT", "/bench");
          hand.check("I have read: Spirit vapour");
          weeksAgo(page, 1);
          hand.check("I do not know the oil’s dates");
          hand.check("Jar and herb are clean");
          hand.theLineBreaks();
          hand.send("Dampen the herb", BATCH);
          hand.tap(page.getByText("Yes", new Page.GetByTextOptions().setExact(true)));
          hand.send("Log it", BATCH);
          hand.type("Vessel and all weigh", "1000 g");
          hand.send("Oil is on", BATCH);
          assertThat(page.locator("#weigh")).containsText("0 % gone");
          hand.type("Vessel and all weigh", "970 g");
          hand.send("Log the weight", BATCH);
          assertThat(page.locator("#weigh")).containsText("has left");
          hand.within(24, 12);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void whippedButterWithHerbInItsOwnFats(Manner manner) throws Exception {
    inAKitchen(
        manner,
        "US",
        (page, hand) -> {
          page.navigate("/products/new");
          hand.pick(named(page, "making"), "WHIPPED_BUTTER", "/products/new");
          hand.tap("Infuse herb in these fats first");
          arrived(page, "/bench");
          hand.say(named(page, "amount"), "3 handfuls", "/bench/reckon");
          hand.check("I do not know the oil’s dates");
          hand.check("clean");
          hand.theLineBreaks();
          hand.send("Charge the jar", BATCH);
          strained(page, hand, "4 oz");
          page.navigate("/products/new?making=WHIPPED_BUTTER");
          hand.say(named(page, "parts[0].amount"), "all", "/products/new");
          hand.send("Weigh it in", PRODUCT);
          looked(page, hand, "EDGE_SET");
          looked(page, hand, "STANDS");
          hand.type(named(page, "groups[0].size"), "4 oz");
          hand.send("It is poured", PRODUCT);
          assertThat(page.getByText("Print labels").first()).isVisible();
          hand.within(20, 30);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void padsSoakedInAnOilThatSets(Manner manner) throws Exception {
    inTheDemo(
        manner,
        (page, hand) -> {
          page.navigate("/products/new");
          hand.pick(named(page, "making"), "COMPRESS_PADS", "/products/new");
          hand.say(named(page, "parts[0].amount"), "20 ml", "/products/new");
          hand.theLineBreaks();
          hand.send("Weigh it in", PRODUCT);
          hand.send("It is poured", PRODUCT);
          assertThat(page.getByText("Print labels").first()).isVisible();
          hand.within(8, 10);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void anOldJarTakenOnAndStrained(Manner manner) throws Exception {
    inAKitchen(
        manner,
        "IMPERIAL",
        (page, hand) -> {
          hand.tap(page.getByText("A jar that stands already"));
          arrived(page, "/bench/take-on");
          hand.choose(named(page, "herbs[0].state"), "FRESH");
          hand.choose(named(page, "herbs[0].herb"), "comfrey");
          hand.choose(named(page, "herbFill"), "0.85");
          hand.type("Begun on, as near as you know", today().minusDays(60).toString());
          hand.choose(named(page, "about"), "30");
          hand.theLineBreaks();
          hand.send("Take it on", BATCH);
          assertThat(page.locator("main")).containsText("assumed: say it");
          strained(page, hand, "1/2 pint");
          hand.within(14, 18);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void aJarSplitIntoATrialAndJudged(Manner manner) throws Exception {
    inAKitchen(
        manner,
        "METRIC",
        (page, hand) -> {
          page.navigate("/bench");
          hand.tap(page.locator("summary", new Page.LocatorOptions().setHasText("Split it into")));
          hand.check("the cut");
          hand.choose(page.locator("#cuts0"), "CUT");
          hand.choose(page.locator("#cuts1"), "GROUND");
          hand.check("I do not know the oil’s dates");
          hand.check("clean");
          hand.theLineBreaks();
          hand.send("Charge the trial’s jars", "/trials/[0-9a-f-]+$");
          for (int glass = 0; glass < 2; glass++) {
            for (String mark : new String[] {"strength", "smell"}) {
              hand.tap(
                  page.locator(
                      "label:has(input[name='glass[" + glass + "]." + mark + "'][value='4'])"));
            }
          }
          hand.send("Judged", "/trials/[0-9a-f-]+$");
          hand.type(page.locator("#conclusion"), "No difference yet.");
          hand.send("Conclude it", "/trials/[0-9a-f-]+$");
          hand.within(22, 20);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void aReadingByHandEachHourThroughAnEvening(Manner manner) throws Exception {
    inAKitchen(
        manner,
        "METRIC",
        (page, hand) -> {
          page.navigate("/bench?method=WARM");
          charged(page, hand);
          hand.tap("Put it on the heat");
          hand.type("Knob at", "low");
          hand.send("It is on", "/stove/[A-Z0-9]+$");
          page.navigate("/stove");
          for (String degrees : new String[] {"38", "42", "44", "45", "44"}) {
            hand.type(page.getByLabel("The oil of"), degrees);
            hand.send("Read", "/stove$");
            assertThat(page.locator(".pot-figure").first()).containsText(degrees);
          }
          hand.within(17, 13);
        });
  }

  @ParameterizedTest
  @EnumSource(Manner.class)
  void aTinGivenAwayThatTroubledASkinIsTraced(Manner manner) throws Exception {
    inTheDemo(
        manner,
        (page, hand) -> {
          String code =
              jdbc.queryForObject(
                  "select p.code from product p join household h on h.id = p.household_id"
                      + " where h.name like 'Keeper%' and p.status = 'POURED' limit 1",
                  String.class);
          page.navigate("/products/" + code);
          String to = "ferry " + UUID.randomUUID().toString().substring(0, 4);
          hand.type("To whom", to);
          hand.theLineBreaks();
          hand.send("Note it", PRODUCT);
          hand.tap(page.locator("summary", new Page.LocatorOptions().setHasText("A skin reacted")));
          hand.type("What was seen?", "red itch");
          page.evaluate("() => { window.sentFromHere = true; }");
          hand.tap(page.locator("form:has(#what) button"));
          page.waitForFunction("() => window.sentFromHere === undefined");
          hand.tap(page.locator("a[href='/products']").first());
          hand.tap("Reactions");
          assertThat(page.locator("main")).containsText("red itch");
          hand.within(8, 20);
        });
  }

  private static Locator role(Page page, AriaRole role, String name) {
    return page.getByRole(role, new Page.GetByRoleOptions().setName(name).setExact(true)).first();
  }

  private static void chosen(Page page, String list, String value) {
    page.waitForResponse(
        r -> r.url().contains("/bench"), () -> pick(role(page, AriaRole.COMBOBOX, list), value));
    page.waitForFunction(
        "() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling')");
  }

  /** The first way by nothing but what a screen reader is told: roles and names. */
  @Test
  void theFirstWayByTheTreeThatAScreenReaderReads() throws Exception {
    try (Page page = phone()) {
      moveIntoANewHousehold(page, "US");
      assertThat(role(page, AriaRole.HEADING, "What is in front of you?")).isVisible();
      page.getByRole(
              AriaRole.LINK, new Page.GetByRoleOptions().setName("Herb and oil, to go into a jar"))
          .click();
      arrived(page, "/bench$");
      chosen(page, "Ratio by", "fill");
      chosen(page, "Herb", "mullein-flower");
      chosen(page, "Jar", "us-quart");
      chosen(page, "How full of herb", "0.5");
      chosen(page, "How full in all", "0.85");
      weeksAgo(page, 38);
      page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("I do not know"))
          .check();
      page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("clean")).check();
      role(page, AriaRole.BUTTON, "Charge the jar").click();
      arrived(page, BATCH);
      role(page, AriaRole.LINK, "Strain").click();
      arrived(page, "/strain$");
      role(page, AriaRole.TEXTBOX, "What came out?").fill("2 cups");
      role(page, AriaRole.BUTTON, "Strained").click();
      arrived(page, "/bottle$");
      assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
          .hasCount(1);
    }
  }
}
