package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;

/** What may be typed, asked and printed of bottles besides the straight way. */
class BottleEdgesTest extends BottleHouse {
  final JdbcTemplate jdbc = TestCluster.shared().owner();

  private static HerbIn herb(String key, Part part, double grams) {
    return new HerbIn(
        key, part, Cut.CUT, HerbState.DRIED, Range.exactly(grams), 0.10, grams + " g");
  }

  /** Bottles 100 ml of what is charged; for eating, in the fridge. */
  private String bottledOf(List<HerbIn> herbs, List<OilIn> oils, Use use) {
    String code =
        as(
            keeper,
            () -> {
              String place = places.all().get(0).id().toString();
              return acts.charge(
                      new Charged(
                          Method.COLD,
                          herbs,
                          oils,
                          new Charged.Oil(Range.exactly(400), ""),
                          new JarIn("Jar 500 ml", 530, 80),
                          12,
                          use,
                          new Stand(place, "Dark cupboard", Light.DARK),
                          new Charged.Begun(today().minusDays(25), 0, false),
                          true,
                          Manner.PLAIN),
                      UUID.randomUUID().toString())
                  .code();
            });
    log(code, new Strained(300, "300 ml", Expression.SQUEEZE, new Range(290, 330)));
    Store.Place place = use == Use.KITCHEN ? Store.Place.FRIDGE : Store.Place.COOL;
    log(code, new Bottled(List.of(bottle("A", place, Store.Antioxidant.NONE))));
    return code;
  }

  private OilIn oil(String key, double share) {
    return new OilIn(key, share, today().plusMonths(9), null, null);
  }

  /** What has to be gone earlier than its label says is printed again, and then listed no more. */
  @Test
  void aDateThatMovedEarlierWantsItsLabelPrintedAgain() throws Exception {
    String code = bottled(40);
    assertThat(cellar()).doesNotContain("Print again");
    log(
        code,
        new BottleStood("A", Store.Place.WARM, Store.Glass.CLEAR, 400, Store.Antioxidant.NONE));

    assertThat(cellar()).contains("Print again").contains("?bottle=" + code + "-A");
    labels("bottle", code + "-A");
    assertThat(cellar()).doesNotContain("Print again");
  }

  private String cellar() throws Exception {
    return visit(keeper, "/cellar").andReturn().getResponse().getContentAsString();
  }

  private String labels(String... more) throws Exception {
    List<String> fields = new ArrayList<>(List.of("grid", "a4-8", "address", "http://crock.test"));
    fields.addAll(List.of(more));
    byte[] pdf =
        send(keeper, "/cellar/labels", fields.toArray(String[]::new))
            .andExpect(status().isOk())
            .andExpect(header().string("Content-Disposition", containsString("labels.pdf")))
            .andExpect(header().string("Cache-Control", containsString("no-store")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      String words = new PDFTextStripper().getText(document).replace('\u00A0', ' ');
      return document.getNumberOfPages() + " pages. " + words.replaceAll("\\s+", " ");
    }
  }

  @Test
  void severalHerbsAndOilsAreNamedByWeightTheHeaviestFirst() throws Exception {
    String code =
        bottledOf(
            List.of(herb("heather", Part.FLOWER, 8), herb("yarrow", Part.FLOWER, 22)),
            List.of(oil("olive", 0.3), oil("sunflower", 0.7)),
            Use.SKIN);

    assertThat(labels("bottle", code + "-A", "inci", "yes"))
        .contains("Yarrow and Heather tips")
        .contains("Achillea millefolium, Calluna vulgaris")
        .contains(
            "INCI: Helianthus Annuus Seed Oil, Olea Europaea Fruit Oil,"
                + " Achillea Millefolium Flower Extract, Calluna Vulgaris Flower Extract.");
  }

  @Test
  void oilForEatingIsSaidToBeAndANutIsNamed() throws Exception {
    String kitchen =
        bottledOf(List.of(herb("rosemary", Part.LEAF, 20)), List.of(oil("olive", 1)), Use.KITCHEN);
    String nut =
        bottledOf(List.of(herb("yarrow", Part.FLOWER, 20)), List.of(oil("hazelnut", 1)), Use.SKIN);

    assertThat(labels("bottle", kitchen + "-A"))
        .contains("For eating. Keep in the fridge.")
        .doesNotContain("Not for eating");
    assertThat(labels("bottle", nut + "-A")).contains("Contains: tree nut.");
    assertThat(bottle(kitchen, "A").bestBefore()).isBefore(today().plusMonths(3).plusDays(1));
  }

  @Test
  void asManyAreTyped() throws Exception {
    String code = bottled(40);

    String many = labels("bottle", code + "-A", "bottle", code + "-B", "each", "5", "skip", "3");

    assertThat(many).startsWith("2 pages.");
    assertThat(many.split(code + "-A", -1)).hasSize(6);
    assertThat(many.split(code + "-B", -1)).hasSize(6);
  }

  @Test
  void theChoiceOfBottlesCanBeNarrowedAndOneIsChosenBeforehand() throws Exception {
    String yarrow = bottled(40);
    String heather =
        bottledOf(List.of(herb("heather", Part.FLOWER, 20)), List.of(oil("olive", 1)), Use.SKIN);

    visit(keeper, "/cellar/labels?herb=heather")
        .andExpect(content().string(containsString(heather + "-A")))
        .andExpect(content().string(not(containsString(yarrow + "-A"))));
    visit(keeper, "/cellar/labels?oil=rapeseed")
        .andExpect(content().string(containsString(yarrow + "-A")))
        .andExpect(content().string(not(containsString(heather + "-A"))));
    visit(keeper, "/cellar/labels?bottle=" + yarrow + "-B")
        .andExpect(
            content().string(containsString("value=\"" + yarrow + "-B\" checked=\"checked\"")));
  }

  @ParameterizedTest
  @CsvSource({
    "log, kind, sung, Choose what to log",
    "log, off, HERBAL, Choose",
    "log, size, a shed, shed",
    "draw, amount, 900 ml, left",
    "draw, amount, 40 g of, 40 g of",
    "gone, reason, BORED, Choose"
  })
  void whatCannotBeIsSaidAtTheBottleAndNothingIsWritten(
      String door, String field, String typed, String said) throws Exception {
    String code = bottled(40);
    int entries = as(keeper, () -> batches.find(code).state().entries());
    List<String> fields = new ArrayList<>(List.of("key", "e" + code, field, typed));
    if (field.equals("off")) {
      fields.addAll(List.of("kind", "checked"));
    } else if (field.equals("size")) {
      fields.addAll(
          List.of("kind", "stood", "place", "COOL", "glass", "CLEAR", "antioxidant", "NONE"));
    }

    send(keeper, "/cellar/" + code + "/A/" + door, fields.toArray(String[]::new))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)));

    assertThat(as(keeper, () -> batches.find(code).state().entries())).isEqualTo(entries);
  }

  @Test
  void theSameTapTwiceIsWrittenOnce() throws Exception {
    String code = bottled(40);
    for (int i = 0; i < 2; i++) {
      send(keeper, "/cellar/" + code + "/A/draw", "amount", "20 ml", "key", "twice" + code)
          .andExpect(redirectedUrl("/cellar/" + code + "/A"));
    }

    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(130);
  }

  @Test
  void oilIsDrawnOffAtTheCellarsShelf() throws Exception {
    String code = bottled(40);
    visit(keeper, "/cellar")
        .andExpect(content().string(containsString("Oil drawn off, " + code + "-A")));

    send(keeper, "/cellar/" + code + "/A/draw", "amount", "20 ml", "back", "cellar", "key", "q")
        .andExpect(redirectedUrl("/cellar"));

    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(130);
  }

  @Test
  void openedOnceIsNotAskedAgainAndItsDateIsNotLater() throws Exception {
    String code = bottled(40);
    LocalDate before = bottle(code, "B").bestBefore();
    visit(keeper, "/cellar/" + code + "/B")
        .andExpect(content().string(containsString("Opened today")));

    send(keeper, "/cellar/" + code + "/B/log", "kind", "opened", "key", "o" + code)
        .andExpect(redirectedUrl("/cellar/" + code + "/B"));

    visit(keeper, "/cellar/" + code + "/B")
        .andExpect(content().string(not(containsString("Opened today"))))
        .andExpect(content().string(containsString("opened ")));
    assertThat(bottle(code, "B").bestBefore()).isBeforeOrEqualTo(before);
  }

  @Test
  void whatIsGoneIsInNoCellarCalendarOrLabelsButInItsBatchAndInJson() throws Exception {
    String code = bottled(40);
    log(code, new BottleGone("A", Ending.USED_UP));

    visit(keeper, "/cellar").andExpect(content().string(not(containsString(code + "-A"))));
    visit(keeper, "/cellar/labels").andExpect(content().string(not(containsString(code + "-A"))));
    visit(keeper, "/cellar/calendar")
        .andExpect(content().string(not(containsString(code + "-A"))))
        .andExpect(content().string(containsString(code + "-B")));
    visit(keeper, "/batches/" + code).andExpect(content().string(containsString("gone: used up")));
    visit(keeper, "/api/v1/batches/" + code)
        .andExpect(jsonPath("$.bottles[0].gone").value(true))
        .andExpect(jsonPath("$.bottles[1].gone").value(false));
  }

  @Test
  void theCalendarRemindsToSmellAndKeepsItsEventsNames() throws Exception {
    String code = bottled(40);
    List<VEvent> first = events();
    log(
        code,
        new BottleStood(
            "A", Store.Place.FRIDGE, Store.Glass.AMBER, 150, Store.Antioxidant.VITAMIN_E));
    List<VEvent> second = events();

    assertThat(first).hasSize(2);
    assertThat(first)
        .extracting(e -> e.getUid().orElseThrow().getValue())
        .doesNotHaveDuplicates()
        .containsExactlyInAnyOrderElementsOf(
            second.stream().map(e -> e.getUid().orElseThrow().getValue()).toList());
    assertThat(first)
        .allSatisfy(
            e -> {
              assertThat(e.getAlarms()).hasSize(1);
              assertThat(e.getAlarms().get(0).getRequiredProperty("TRIGGER").getValue())
                  .isIn("-P28D", "-P4W");
            });
  }

  private List<VEvent> events() throws Exception {
    String ics =
        visit(keeper, "/cellar/calendar")
            .andExpect(header().string("Content-Type", containsString("text/calendar")))
            .andReturn()
            .getResponse()
            .getContentAsString();
    return new CalendarBuilder()
        .build(new StringReader(ics)).getComponents("VEVENT").stream()
            .map(VEvent.class::cast)
            .toList();
  }

  @Test
  void theCodeOpensForSomebodyOfAnotherHouseholdTooAndShowsNothingOfTheirs() throws Exception {
    String code = bottled(40);
    labels("bottle", code + "-A");
    String token =
        jdbc.queryForObject(
            "select token from bottle_pass where household_id = ?", String.class, house.id());
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Stig");

    mvc.perform(get("/b/" + token).with(authentication(signedIn(stranger))))
        .andExpect(status().isOk())
        .andExpect(header().string("Cache-Control", containsString("no-store")))
        .andExpect(header().string("Referrer-Policy", "no-referrer"))
        .andExpect(header().string("X-Robots-Tag", containsString("noindex")))
        .andExpect(content().string(containsString("Achillea millefolium")))
        .andExpect(content().string(not(containsString("Elsewhere"))));
    send(stranger, "/cellar/" + code + "/A/void-pass").andExpect(status().isNotFound());
    mvc.perform(get("/b/" + token)).andExpect(status().isOk());
  }

  @Test
  void aBottlePastItsDateSaysSoOnItsPageForTheHolder() throws Exception {
    String code = bottled(330);
    labels("bottle", code + "-A");
    String token =
        jdbc.queryForObject(
            "select token from bottle_pass where household_id = ?", String.class, house.id());
    boolean past = bottle(code, "A").bestBefore().isBefore(today());

    String page = mvc.perform(get("/b/" + token)).andReturn().getResponse().getContentAsString();

    assertThat(page.contains("It is past its date")).isEqualTo(past);
  }
}
