package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.drawer.Drawer;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Vessels;
import velvetcrock.plans.Planned;
import velvetcrock.plans.Plans;

/** From what is wanted to a plan, and from the plan to the batch. */
class PlansTest extends AppTest {
  @Autowired Plans plans;
  @Autowired Drawer drawer;
  @Autowired Appliances appliances;
  @Autowired Vessels vessels;

  private UUID yarrow;
  private UUID oil;

  @BeforeEach
  void fillTheDrawer() {
    yarrow = as(keeper, () -> add(herb(), 200));
    oil = as(keeper, () -> add(carrier(), 3000));
    as(
        keeper,
        () -> {
          vessels.count("jar-500", "2");
          appliances.add("The plate", Appliance.ELECTRIC_PLATE);
          return null;
        });
  }

  private UUID add(LotDetails details, double amount) {
    return drawer.add(details, amount, "", null, UUID.randomUUID().toString());
  }

  private LotDetails herb() {
    return new LotDetails(
        LotDetails.Kind.HERB,
        "yarrow",
        "",
        new LotDetails.Plant(Part.FLOWER, Cut.CUT, HerbState.DRIED, null),
        LotDetails.Origin.FORAGED,
        "the cliff",
        new LotDetails.Dates(today().minusMonths(2), null, null, null),
        null,
        400L);
  }

  private LotDetails carrier() {
    return new LotDetails(
        LotDetails.Kind.CARRIER,
        "sunflower-high-oleic",
        "",
        new LotDetails.Plant(null, null, null, null),
        LotDetails.Origin.BOUGHT,
        "",
        new LotDetails.Dates(null, today().minusMonths(1), null, today().plusMonths(14)),
        null,
        900L);
  }

  private String[] want(LocalDate by, String... changes) {
    Map<String, String> fields = new LinkedHashMap<>();
    fields.put("things[0].what", "TINS");
    fields.put("things[0].count", "6");
    fields.put("things[0].size", "30 ml");
    fields.put("things[0].kind", "SALVE");
    fields.put("herb", "yarrow");
    fields.put("carrier", "sunflower-high-oleic");
    fields.put("by", by.toString());
    fields.put("from", "drawer");
    fields.put("way", "COLD-COVERING");
    fields.put("key", UUID.randomUUID().toString());
    for (int i = 0; i < changes.length; i += 2) {
      fields.put(changes[i], changes[i + 1]);
    }
    return fields.entrySet().stream()
        .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
        .toArray(String[]::new);
  }

  private String looked(LocalDate by, String... changes) throws Exception {
    return text(send(keeper, "/plans/new", want(by, changes)).andExpect(status().isOk()));
  }

  private static String text(ResultActions answer) throws Exception {
    return answer
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ")
        .replace('\u00a0', ' ');
  }

  /** As it is typed, the answer is what the whole page would say of it, and nothing besides. */
  @Test
  void aChangedWantIsAnsweredWithWhatItComesTo() throws Exception {
    String[] want = want(today().plusDays(70));
    Document whole = Jsoup.parse(content(send(keeper, "/plans/new", want)));
    MockHttpServletRequestBuilder typed =
        post("/plans/new").with(authentication(signedIn(keeper))).with(csrf());
    for (int i = 0; i < want.length; i += 2) {
      typed.param(want[i], want[i + 1]);
    }
    Document changed = Jsoup.parse(content(mvc.perform(typed.header("HX-Request", "true"))));

    assertThat(changed.body().children())
        .extracting(Element::id)
        .containsExactly("outlook", "looked");
    for (String part : List.of("outlook", "looked")) {
      assertThat(changed.getElementById(part).html())
          .isNotBlank()
          .isEqualTo(whole.getElementById(part).html());
    }
  }

  private static String content(ResultActions answer) throws Exception {
    return answer.andExpect(status().isOk()).andReturn().getResponse().getContentAsString();
  }

  private String decide(LocalDate by, String... changes) throws Exception {
    String to =
        send(keeper, "/plans", want(by, changes))
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    return to.substring("/plans/".length());
  }

  private List<Planned> open() {
    return as(keeper, () -> plans.open());
  }

  @Test
  void theWaysStandSideBySideWithWhatTheyCostAndWhatRulesThemOut() throws Exception {
    String page = looked(today().plusDays(60));

    assertThat(page)
        .contains("ways get there")
        .contains("6 tins of 30 ml salve")
        .contains("Cold, in the dark")
        .contains("Warm in a bath")
        .contains("begin by")
        .contains("keeps to")
        .contains("about")
        .contains("nothing here to do it on; an oven would do")
        .contains("the drawer lacks")
        .contains("Careful.");
  }

  @Test
  void aWayThatComesTooLateSaysWhenItWouldBeInTime() throws Exception {
    assertThat(looked(today().plusDays(3)))
        .contains("Warm in a bath")
        .containsPattern("misses the date by \\d+ (days|weeks)[^;]*; in time by");
  }

  @Test
  void whatCannotBeSaysWhatCanBe() throws Exception {
    assertThat(looked(today().minusDays(1)))
        .contains("No way gets there by yesterday")
        .contains("What is possible")
        .contains("the soonest");
    assertThat(looked(today().plusDays(60), "things[0].what", "OIL", "things[0].size", "400 l"))
        .contains("Between 1 ml and 20 l");
    assertThat(
            looked(
                today().plusDays(60),
                "things[0].what",
                "OIL",
                "things[0].size",
                "18 l",
                "from",
                "shopping"))
        .contains("your empty jars do not hold it; they do for about")
        .contains("of oil: what your empty jars are for");
    assertThat(looked(today().plusDays(60), "carrier", "hazelnut", "safeFor", "NUT_ALLERGY"))
        .contains("is of tree nuts")
        .contains("In olive");
    assertThat(looked(today().plusDays(60), "safeFor", "KITCHEN"))
        .contains("Yarrow is not for eating")
        .contains("For the skin, not for eating");
    assertThat(looked(today().plusDays(60), "carrier", "olive")).contains("The same with shopping");
  }

  @Test
  void whatCannotBeReadIsSaidAtItsField() throws Exception {
    assertThat(
            looked(today().plusDays(60), "things[0].size", "30 g", "by", "soon", "ratio", "lots"))
        .contains("say how much it holds")
        .contains("“soon” is not a date")
        .contains("“lots” is not a number");
    assertThat(looked(today().plusDays(60), "things[0].what", "BARS", "things[0].size", "40 ml"))
        .contains("say what a bar weighs");
    assertThat(looked(today().plusDays(60), "things[0].what", "PADS", "things[0].size", "wide"))
        .contains("is no length");
  }

  @Test
  void barsPadsBottlesAndSeveralThingsAreWantedToo() throws Exception {
    assertThat(
            looked(
                today().plusDays(60),
                "things[0].what",
                "BARS",
                "things[0].size",
                "40 g",
                "things[1].what",
                "BOTTLES",
                "things[1].count",
                "2",
                "things[1].size",
                "50 ml"))
        .contains("6 bars of 40 g, 2 bottles of 50 ml");
    assertThat(
            looked(today().plusDays(60), "things[0].what", "PADS", "things[0].size", "10 x 10 cm"))
        .contains("6 pads of 10 cm");
    assertThat(
            looked(
                today().plusDays(60),
                "set",
                "things+",
                "things[0].what",
                "OIL",
                "things[0].size",
                "90 g"))
        .contains("90 g of oil, 2 bottles of 100 ml");
  }

  @Test
  void decidingPutsHerbOilAndJarByAndOnlyOnce() throws Exception {
    String key = UUID.randomUUID().toString();
    String code = decide(today().plusDays(60), "key", key);
    assertThat(decide(today().plusDays(60), "key", key)).isEqualTo(code);

    assertThat(open()).hasSize(1);
    String page = text(visit(keeper, "/plans/" + code).andExpect(status().isOk()));
    assertThat(page)
        .contains("6 tins of 30 ml salve")
        .contains("of Yarrow, gathered")
        .contains("Jar 500 ml, empty")
        .contains("Charge it at the bench")
        .contains("Strain");
    int used =
        as(keeper, () -> vessels.all()).stream()
            .filter(v -> v.jar().key().equals("jar-500"))
            .findFirst()
            .orElseThrow()
            .used();
    assertThat(used).isEqualTo(1);
    assertThat(looked(today().plusDays(60), "things[0].count", "40")).contains("the drawer lacks");
    assertThat(text(visit(keeper, "/drawer/of/HERB/yarrow"))).contains("g reserved");
    assertThat(text(visit(keeper, "/bench"))).contains("g reserved");
    assertThat(text(visit(keeper, "/journal"))).contains("Planned: 6 tins of 30 ml salve");
  }

  @Test
  void aPlanIsChargedAtTheBenchAndItsCodeGoesOnTheLid() throws Exception {
    String code = decide(today().plusDays(60));
    String html = visit(keeper, "/plans/" + code).andReturn().getResponse().getContentAsString();
    Matcher link = Pattern.compile("href=\"(/bench\\?[^\"]+)\"").matcher(html);
    assertThat(link.find()).isTrue();
    List<String> fields = new ArrayList<>();
    for (String pair : URI.create(link.group(1).replace("&amp;", "&")).getRawQuery().split("&")) {
      String[] parts = pair.split("=", 2);
      fields.add(URLDecoder.decode(parts[0], StandardCharsets.UTF_8));
      fields.add(URLDecoder.decode(parts[1], StandardCharsets.UTF_8));
    }
    assertThat(fields).contains("plan", code, yarrow.toString(), oil.toString());
    fields.addAll(List.of("clean", "yes", "key", UUID.randomUUID().toString()));
    send(keeper, "/bench/charge", fields.toArray(String[]::new))
        .andExpect(status().is3xxRedirection());

    Charged charged = as(keeper, () -> batches.find(code).state().charge());
    assertThat(charged.herbs().get(0).lot()).isEqualTo(yarrow);
    assertThat(open()).isEmpty();
    double left = as(keeper, () -> drawer.lot(yarrow)).lot().amount();
    assertThat(left).isLessThan(200);
  }

  @Test
  void aPlanStandsInTheCalendarUntilItIsGivenUp() throws Exception {
    decide(today().plusDays(60));
    Planned plan = open().get(0);
    String told = text(visit(keeper, "/calendar/all"));

    assertThat(told).contains("Charge " + plan.code()).contains("As planned: wanted by");
    send(keeper, "/plans/" + plan.code() + "/drop");
    assertThat(text(visit(keeper, "/calendar/all"))).doesNotContain("Charge " + plan.code());
  }

  @Test
  void aPlanGivenUpFreesWhatItHadPutBy() throws Exception {
    String code = decide(today().plusDays(60));
    send(keeper, "/plans/" + code + "/drop").andExpect(status().is3xxRedirection());

    assertThat(open()).isEmpty();
    assertThat(text(visit(keeper, "/plans"))).contains("Nothing is planned");
    assertThat(text(visit(keeper, "/plans/" + code))).contains("It is no longer planned");
  }

  @Test
  void aWayThatIsRuledOutCannotBeDecidedOn() throws Exception {
    send(keeper, "/plans", want(today().plusDays(3))).andExpect(status().isUnprocessableContent());
    send(keeper, "/plans", want(today().plusDays(60), "way", "OVEN-COVERING"))
        .andExpect(status().isUnprocessableContent());
    assertThat(open()).isEmpty();
  }

  @Test
  void plansThatClashAreShownAndMovedApart() throws Exception {
    as(
        keeper,
        () -> {
          appliances.count(appliances.all().get(0).id().toString(), "1");
          return null;
        });
    for (int i = 0; i < 2; i++) {
      decide(today().plusDays(4), "things[0].count", "2", "way", "SIMMER-COVERING");
    }
    assertThat(text(visit(keeper, "/plans")))
        .contains("They are in each other’s way")
        .contains("more jars than The plate holds")
        .contains("The smallest shift found");
    send(keeper, "/plans/settle").andExpect(status().is3xxRedirection());

    assertThat(text(visit(keeper, "/plans")))
        .doesNotContain("in each other’s way")
        .contains("No search was needed");
    assertThat(open().get(0).begins()).isNotEqualTo(open().get(1).begins());
  }

  @Test
  void plansKeepWithinTheHoursOfTheHouse() throws Exception {
    send(
            keeper,
            "/kitchen/hours",
            "wakes",
            "09:00",
            "sleeps",
            "21:00",
            "awayDays",
            "MONDAY",
            "awayFrom",
            "10:00",
            "awayUntil",
            "20:00")
        .andExpect(status().is3xxRedirection());
    decide(today().plusDays(60));

    assertThat(open().get(0).begins().atZone(house.zone()).getHour()).isBetween(9, 20);
    send(
            keeper,
            "/kitchen/hours",
            "wakes",
            "early",
            "sleeps",
            "21:00",
            "awayFrom",
            "10:00",
            "awayUntil",
            "09:00")
        .andExpect(status().isUnprocessableContent());
  }

  @Test
  void slidersMoveTheCurvesAndPinsStay() throws Exception {
    String page =
        text(
            visit(
                    keeper,
                    "/plans/what-if?celsius=60&time=55&ratio=13"
                        + "&pins=yarrow~CUT~DRIED~olive~60~13~20~94~DAILY~DARK~~")
                .andExpect(status().isOk()));

    assertThat(page)
        .contains("Extracted: ")
        .contains("Extracted, up to 100 %")
        .contains("Then keeps, up to ")
        .contains("Yarrow, cut, 1 : 13 in olive, 20 °C for 5 weeks");
    Matcher headline = Pattern.compile("; then (keeps \\d+ \\w+)").matcher(page);
    assertThat(headline.find()).isTrue();
    assertThat(page.split(Pattern.quote(headline.group(1)), -1)).hasSizeGreaterThan(2);
    assertThat(text(visit(keeper, "/plans/what-if?carrier=coconut&celsius=20")))
        .contains("The oil is solid");
    assertThat(text(visit(keeper, "/plans/what-if?ratio=5&grams=30&jar=jar-500")))
        .contains("Not covered");
    assertThat(text(visit(keeper, "/plans/what-if?celsius=hot"))).contains("is not a number");
    assertThat(text(visit(keeper, "/plans/what-if?pins=rubbish&set=pin")))
        .doesNotContain("rubbish");
  }
}
