package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockMultipartFile;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.log.Event;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotState;
import velvetcrock.core.pot.Making;
import velvetcrock.drawer.Drawer;
import velvetcrock.pots.PotRecord;
import velvetcrock.pots.Pots;

/** Pots: from the bottle to the tin and back. */
class PotsTest extends BottleHouse {
  @Autowired Pots pots;
  @Autowired Drawer drawer;
  @Autowired BatchReadings readings;
  @Autowired JdbcTemplate jdbc;

  private static Catalogue catalogue() {
    return Catalogue.shipped();
  }

  private static String[] sentence(String key, String... more) {
    List<String> fields = new ArrayList<>(List.of("key", key));
    fields.addAll(List.of(more));
    return fields.toArray(String[]::new);
  }

  private static String[] fresh(String... fields) {
    return sentence(UUID.randomUUID().toString(), fields);
  }

  /** A sentence of a kind whose first part is so much of bottle A. */
  private static String[] ofBottle(String code, String making, String amount, String... more) {
    List<String> fields =
        new ArrayList<>(
            List.of(
                "making",
                making,
                "parts[0].thing",
                "bottle:" + code + "-A",
                "parts[0].amount",
                amount));
    fields.addAll(List.of(more));
    return fresh(fields.toArray(String[]::new));
  }

  private String[] salve(String code, String ml, String wax) {
    return ofBottle(code, "SALVE", ml, "parts[1].thing", "wax:beeswax", "parts[1].amount", wax);
  }

  private PotRecord begun(String... fields) throws Exception {
    String link =
        send(keeper, "/pots", fields)
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    return as(keeper, () -> pots.find(link.substring("/pots/".length())));
  }

  private PotRecord again(PotRecord pot) {
    return as(keeper, () -> pots.find(pot.code()));
  }

  private void note(PotRecord pot, String... fields) throws Exception {
    send(keeper, "/pots/" + pot.code() + "/log", fresh(fields))
        .andExpect(status().is3xxRedirection());
  }

  private String page(String path) throws Exception {
    return visit(keeper, path)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ");
  }

  private UUID lot(LotDetails.Kind kind, String thing, double amount, long price) {
    LotDetails details =
        new LotDetails(
            kind,
            thing,
            "",
            null,
            null,
            null,
            null,
            LotDetails.Origin.BOUGHT,
            "the skeps",
            null,
            today().minusDays(9),
            null,
            null,
            null,
            price);
    return as(keeper, () -> drawer.add(details, amount, "", null, UUID.randomUUID().toString()));
  }

  @Test
  void whatIsLeftOpenIsReckonedAsOneTypes() throws Exception {
    String code = bottled(40);
    send(keeper, "/pots/new", salve(code, "100 ml", ""))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("It takes 17.4 g of beeswax.")))
        .andExpect(content().string(containsString("1:5.3")))
        .andExpect(content().string(containsString("3 tins of 30 ml")))
        .andExpect(content().string(containsString("Melted wax burns")));
  }

  @Test
  void fromTheWantedTinsBack() throws Exception {
    String code = bottled(40);
    String[] fields = salve(code, "", "");
    List<String> all = new ArrayList<>(List.of(fields));
    all.addAll(List.of("count", "4", "size", "15 ml"));
    PotRecord pot = begun(all.toArray(String[]::new));

    assertThat(pot.state().melt(catalogue()).volumeMl()).isCloseTo(60 / 0.97, within(0.01));
    assertThat(pot.state().melt(catalogue()).hardness()).isCloseTo(16, within(0.01));
  }

  @Test
  void oilIsDrawnFromItsBottleOnceHoweverOftenItIsSent() throws Exception {
    String code = bottled(40);
    String[] fields = salve(code, "60 ml", "10 g");
    PotRecord first = begun(fields);
    PotRecord second = begun(fields);

    assertThat(second.code()).isEqualTo(first.code());
    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(90, within(0.01));
    assertThat(page("/cellar/" + code + "/A")).contains("90 ml of 150 ml left");
  }

  @Test
  void twoAtTheSameMomentDrawItOnceToo() throws Exception {
    String code = bottled(40);
    String[] fields = salve(code, "60 ml", "10 g");
    ExecutorService hands = Executors.newFixedThreadPool(4);
    try {
      List<Callable<Integer>> taps = new ArrayList<>();
      for (int i = 0; i < 4; i++) {
        taps.add(() -> send(keeper, "/pots", fields).andReturn().getResponse().getStatus());
      }
      for (Future<Integer> tap : hands.invokeAll(taps)) {
        assertThat(tap.get()).isEqualTo(302);
      }
    } finally {
      hands.shutdown();
    }

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(90, within(0.01));
    assertThat(as(keeper, () -> pots.standing())).hasSize(1);
  }

  @Test
  void twoPotsForTheLastOfABottleTakeTurnsAndTheSecondIsRefused() throws Exception {
    String code = bottled(40);
    ExecutorService hands = Executors.newFixedThreadPool(2);
    List<Integer> answers = new ArrayList<>();
    try {
      List<Callable<Integer>> taps = new ArrayList<>();
      for (int i = 0; i < 2; i++) {
        String[] fields = salve(code, "100 ml", "10 g");
        taps.add(() -> send(keeper, "/pots", fields).andReturn().getResponse().getStatus());
      }
      for (Future<Integer> tap : hands.invokeAll(taps)) {
        answers.add(tap.get());
      }
    } finally {
      hands.shutdown();
    }

    assertThat(answers).containsExactlyInAnyOrder(302, 422);
    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(50, within(0.01));
    assertThat(as(keeper, () -> pots.standing())).hasSize(1);
  }

  @Test
  void aTinsDateIsTheSameWhereverItIsShown() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    note(pot, "kind", "poured", "groups[0].size", "30 ml", "groups[0].where", "BODY");
    String day =
        pot.bestBefore().format(DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH));

    assertThat(pot.bestBefore()).isEqualTo(bottle(code, "A").bestBefore());
    assertThat(page("/pots/" + pot.code())).contains("Good until " + day);
    assertThat(labels(pot).replace('\u00a0', ' ')).contains(day);
    String token =
        jdbc.queryForObject(
            "select token from bottle_pass where household_id = ?", String.class, house.id());
    mvc.perform(get("/b/" + token)).andExpect(content().string(containsString(day)));
    String calendar = visit(keeper, "/calendar/all").andReturn().getResponse().getContentAsString();
    String event = calendar.substring(calendar.indexOf("Use by today: " + pot.code()) - 600);
    assertThat(event.substring(0, 900))
        .contains(
            "DTSTART;VALUE=DATE:" + pot.bestBefore().format(DateTimeFormatter.BASIC_ISO_DATE));
  }

  @Test
  void moneyOfAnInfusedOilIsItsShareOfWhatItsBatchCost() throws Exception {
    UUID oil = lot(LotDetails.Kind.CARRIER, "rapeseed", 800, 1600);
    String code = bottled(40);
    as(
        keeper,
        () -> {
          Event.Charged was = batches.find(code).state().charge();
          Event.OilIn from = was.carriers().get(0);
          batches.supplyOilDates(
              code,
              List.of(
                  new Event.OilIn(
                      from.carrier(), from.share(), from.bestBefore(), null, null, oil)));
          return null;
        });
    PotRecord pot = begun(salve(code, "80 ml", "10 g"));

    assertThat(page("/pots/" + pot.code())).contains("over 2.00 each");
    assertThat(page("/pots/of/lots/" + oil)).contains(pot.code());
  }

  @Test
  void anAbandonedPotGivesEverythingBackByEntries() throws Exception {
    String code = bottled(40);
    UUID wax = lot(LotDetails.Kind.WAX, "beeswax", 200, 900);
    PotRecord pot =
        begun(
            ofBottle(
                code, "SALVE", "60 ml", "parts[1].thing", "lot:" + wax, "parts[1].amount", "10 g"));
    assertThat(as(keeper, () -> drawer.lot(wax).lot().amount())).isCloseTo(190, within(1e-6));
    note(
        pot, "kind", "added", "parts[0].thing", "bottle:" + code + "-A", "parts[0].amount", "5 ml");
    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(85, within(0.01));
    note(pot, "kind", "abandoned", "back", "yes", "text", "called away");

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(150, within(0.01));
    assertThat(as(keeper, () -> drawer.lot(wax).lot().amount())).isCloseTo(200, within(1e-6));
    assertThat(again(pot).state().status()).isEqualTo(PotState.Status.ABANDONED);
    assertThat(page("/batches/" + code)).contains("came back into bottle A");
  }

  @Test
  void aDrawOfAPotIsNotUndoneBehindItsBack() throws Exception {
    String code = bottled(40);
    begun(salve(code, "60 ml", "10 g"));
    UUID drawn =
        as(
            keeper,
            () ->
                batches.log(batches.find(code)).stream()
                    .filter(e -> e.entry().event() instanceof Event.Drawn)
                    .findFirst()
                    .orElseThrow()
                    .entry()
                    .id());
    send(keeper, "/batches/" + code + "/entries/" + drawn + "/undo");

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(90, within(0.01));
  }

  @Test
  void undoingAnAdditionGivesItBack() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "60 ml", "10 g"));
    Pots.Done added =
        as(
            keeper,
            () ->
                pots.append(
                    pot.code(),
                    new PotEvent.Added(
                        List.of(pot.state().parts().get(0).withMassG(9.15)), List.of(), ""),
                    null,
                    null,
                    UUID.randomUUID().toString()));
    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(80, within(0.05));
    send(keeper, "/pots/" + pot.code() + "/entries/" + added.entry() + "/undo")
        .andExpect(status().is3xxRedirection());

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(90, within(0.05));
  }

  @Test
  void oilStraightFromTheClothIsUsedUnbottled() throws Exception {
    String code = bottled(40);
    PotRecord pot =
        begun(
            fresh(
                "making",
                "MASSAGE_OIL",
                "parts[0].thing",
                "cloth:" + code,
                "parts[0].amount",
                "15 ml"));

    assertThat(pot.state().parts().get(0).infused().letter()).isNull();
    send(
            keeper,
            "/pots",
            fresh(
                "making",
                "MASSAGE_OIL",
                "parts[0].thing",
                "cloth:" + code,
                "parts[0].amount",
                "15 ml"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("of it; “15 ml” was read")));
  }

  @Test
  void moreThanABottleHoldsIsRefusedAtItsRowAndNothingIsLost() throws Exception {
    String code = bottled(40);
    send(keeper, "/pots", salve(code, "400 ml", "30 g"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("There are 150 ml of it")))
        .andExpect(content().string(containsString("value=\"400 ml\"")));
    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(150);
  }

  @Test
  void aWeightAndAVolumeThatCannotBothBeAreFound() throws Exception {
    String code = bottled(40);
    send(keeper, "/pots/new", salve(code, "100 ml", "60 g = 3 tbsp"))
        .andExpect(content().string(containsString("wrong")))
        .andExpect(content().string(not(containsString("Weigh it in</button>"))));
  }

  @Test
  void theSpoonTestSaysWhatToAddNow() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    note(pot, "kind", "tested", "feel", "A_BIT_SOFT");

    assertThat(page("/pots/" + pot.code()))
        .contains("a bit soft")
        .containsPattern("Add [12]\\.?\\d* g of beeswax");
    note(pot, "kind", "tested", "harder", "-3", "still", "50 g");
    assertThat(page("/pots/" + pot.code()))
        .contains("far too hard")
        .contains("to the 50 g in the pan");
    note(pot, "kind", "tested", "feel", "RIGHT");
    assertThat(page("/pots/" + pot.code())).contains("It is right: pour it.");
  }

  @Test
  void aReadTemperatureSaysWhatCanBeDone() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    note(pot, "kind", "read", "celsius", "70");
    assertThat(page("/pots/" + pot.code())).contains("It read 70 °C").contains("Now you can");
    note(pot, "kind", "read", "celsius", "30 C");
    assertThat(page("/pots/" + pot.code())).contains("warm it again to pour");
    send(
            keeper,
            "/pots/" + pot.code() + "/log",
            sentence("k" + UUID.randomUUID(), "kind", "read", "celsius", "warm"))
        .andExpect(status().isUnprocessableContent());
  }

  @Test
  void theStovesReadingIsOffered() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    assertThat(page("/pots/" + pot.code())).doesNotContain("The stove’s thermometer reads");
    String hot = charge(0);
    log(
        hot,
        new Event.PutOnHeat(
            new Event.Heater(null, Appliance.SLOW_COOKER.words(), Appliance.SLOW_COOKER),
            new Event.Knob("warm", null, 1.0),
            null));
    as(
        keeper,
        () ->
            readings.add(
                batches.find(hot), List.of(new BatchReckoning.Reading(Instant.now(), 61.4))));

    assertThat(page("/pots/" + pot.code())).contains("The stove’s thermometer reads 61 °C");
  }

  @Test
  void aPotIsPouredIntoMixedTinsWithScentInSomeOfThem() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    String[] rows = {
      "kind", "poured",
      "groups[0].size", "30 ml",
      "groups[0].count", "2",
      "groups[0].where", "BODY",
      "groups[0].oil", "lavender",
      "groups[0].drops", "20",
      "groups[1].size", "15 ml",
      "groups[1].count", "",
      "groups[1].where", "CHILD_2_6",
      "bought", "4.50"
    };
    note(pot, rows);
    PotState state = again(pot).state();

    assertThat(state.tins()).hasSize(2 + 3);
    assertThat(page("/pots/" + pot.code()))
        .contains("5 of 5 still here")
        .contains("for children from 2 to 6")
        .contains("1.67 % at most 2 %");
  }

  @Test
  void honeyInSomeTinsIsOnTheirLabelsAndShortensTheirsAlone() throws Exception {
    String code = bottled(40);
    List<String> fields = new ArrayList<>(List.of(salve(code, "100 ml", "17.4 g")));
    fields.addAll(List.of("place", "FRIDGE"));
    PotRecord pot = begun(fields.toArray(String[]::new));
    note(
        pot,
        "kind",
        "poured",
        "groups[0].size",
        "15 ml",
        "groups[0].count",
        "2",
        "groups[0].where",
        "BODY",
        "groups[0].thing",
        "extra:honey",
        "groups[0].amount",
        "1 tsp",
        "groups[1].size",
        "30 ml",
        "groups[1].count",
        "2",
        "groups[1].where",
        "BODY");
    PotRecord poured = again(pot);

    assertThat(poured.bestBefore()).isEqualTo(today().plusDays(14));
    assertThat(poured.bestBefore(poured.state().groups().get(0))).isEqualTo(today().plusDays(14));
    assertThat(poured.bestBefore(poured.state().groups().get(1))).isAfter(today().plusMonths(2));
    assertThat(page("/pots/" + pot.code()))
        .contains("7.1 g Honey")
        .contains("No honey for children under one year");
    assertThat(labels(pot)).contains("no preservative").contains("honey").contains("Mel");
    send(
            keeper,
            "/pots/" + begun(salve(code, "20 ml", "3 g")).code() + "/log",
            fresh(
                "kind", "poured",
                "groups[0].size", "15 ml",
                "groups[0].where", "BODY",
                "groups[0].thing", "wax:beeswax",
                "groups[0].amount", "1 g"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("stirred in last")));
  }

  @Test
  void theSmallOnesAreNotScentedAboveTheirCeilingUnlessItIsWritten() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    List<String> rows =
        new ArrayList<>(
            List.of(
                "kind", "poured",
                "groups[0].size", "15 ml",
                "groups[0].count", "4",
                "groups[0].where", "CHILD_2_6",
                "groups[0].oil", "lavender",
                "groups[0].drops", "20"));
    String path = "/pots/" + pot.code() + "/log";
    send(keeper, path, sentence("a" + UUID.randomUUID(), rows.toArray(String[]::new)))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("at most 0.5 %")))
        .andExpect(content().string(containsString("Why above the ceiling?")));
    rows.addAll(List.of("groups[0].reason", "asked the pharmacist"));
    note(pot, rows.toArray(String[]::new));

    assertThat(page("/pots/" + pot.code()))
        .contains("Above a ceiling.")
        .contains("asked the pharmacist");
    assertThat(labels(pot)).contains("Above the usual ceiling").contains("asked the pharmacist");
  }

  private String labels(PotRecord pot) throws Exception {
    byte[] pdf =
        send(
                keeper,
                "/pots/" + pot.code() + "/labels",
                "bottle",
                "A",
                "grid",
                "a4-8",
                "each",
                "1",
                "skip",
                "0",
                "inci",
                "yes",
                "address",
                "http://cottage.example")
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    }
  }

  @Test
  void everyTinHasALabelWhoseCodeOpensWithoutSignInUntilItIsVoid() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    note(pot, "kind", "poured", "groups[0].size", "30 ml", "groups[0].where", "BODY");
    String text = labels(pot);
    assertThat(text)
        .contains(pot.code() + "-A1")
        .contains(pot.code() + "-A3")
        .contains("Achillea millefolium")
        .contains("beeswax")
        .contains("Cera Alba")
        .contains("Not for eating");
    String token =
        jdbc.queryForObject(
            "select token from bottle_pass where household_id = ?", String.class, house.id());
    mvc.perform(get("/b/" + token))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Achillea millefolium")))
        .andExpect(content().string(not(containsString(house.name()))));
    send(keeper, "/pots/" + pot.code() + "/groups/A/void-pass")
        .andExpect(status().is3xxRedirection());
    mvc.perform(get("/b/" + token)).andExpect(status().isNotFound());
  }

  @Test
  void aQuestionedWordOnALabelIsAskedAbout() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    note(pot, "kind", "poured", "groups[0].size", "30 ml", "groups[0].where", "BODY");
    visit(keeper, "/pots/" + pot.code() + "/labels").andExpect(status().isOk());
    send(
            keeper,
            "/pots/" + pot.code() + "/labels",
            "bottle",
            "A",
            "grid",
            "a4-8",
            "words",
            "heals wounds",
            "address",
            "http://cottage.example")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("medical claim")));
  }

  @Test
  void fromATinBackToTheHarvestAndFromALotForwardToEveryTin() throws Exception {
    UUID oil = lot(LotDetails.Kind.CARRIER, "rapeseed", 900, 1200);
    UUID wax = lot(LotDetails.Kind.WAX, "beeswax", 100, 500);
    String code = bottled(40);
    jdbc.update(
        "insert into batch_lot (id, household_id, batch_id, lot_id)"
            + " select gen_random_uuid(), household_id, id, ? from batch where code = ? and household_id = ?",
        oil,
        code,
        house.id());
    PotRecord pot =
        begun(
            ofBottle(
                code, "SALVE", "60 ml", "parts[1].thing", "lot:" + wax, "parts[1].amount", "10 g"));

    assertThat(page("/pots/" + pot.code()))
        .contains("Cold-pressed rapeseed, bought")
        .contains("Beeswax, bought");
    assertThat(page("/pots/of/lots/" + oil)).contains(pot.code());
    assertThat(page("/pots/of/lots/" + wax)).contains(pot.code());
    assertThat(page("/pots/of/batches/" + code)).contains(pot.code());
    assertThat(page("/drawer/lots/" + wax)).contains("What it went into");
    assertThat(page("/journal?words=" + pot.code())).contains("Weighed in: salve");
  }

  @Test
  void whatSkinsReactedToIsComparedAndWhomElseItWentToIsTold() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    note(
        pot,
        "kind",
        "poured",
        "groups[0].size",
        "15 ml",
        "groups[0].count",
        "3",
        "groups[0].where",
        "BODY",
        "groups[0].oil",
        "geranium",
        "groups[0].drops",
        "15",
        "groups[1].size",
        "15 ml",
        "groups[1].count",
        "3",
        "groups[1].where",
        "BODY");
    note(pot, "kind", "went", "tin", "A1", "fate", "GIVEN", "to", "the ferry crew");
    note(pot, "kind", "went", "tin", "A2", "fate", "GIVEN", "to", "the wool spinners");
    note(pot, "kind", "went", "tin", "B1", "fate", "USED_UP");
    note(pot, "kind", "went", "tin", "B2", "fate", "USED_UP");
    assertThat(page("/pots/reactions")).contains("Nothing has been reported");
    note(pot, "kind", "reacted", "tin", "A1", "what", "red by the morning");

    assertThat(page("/pots/reactions"))
        .contains("Geranium (essential oil)")
        .contains("in no trouble-free tin")
        .contains("Against 2 tins")
        .contains("Tins with it went to the ferry crew (" + pot.code() + "-A1), the wool spinners")
        .contains("the wool spinners (" + pot.code() + "-A2)")
        .contains("a doctor, now");
  }

  @Test
  void aWhippedButterRunsByItsLooksAndTeachesItsOverrun() throws Exception {
    String code = bottled(40);
    PotRecord pot =
        begun(
            ofBottle(
                code,
                "WHIPPED_BUTTER",
                "20 ml",
                "parts[1].thing",
                "carrier:shea",
                "parts[1].amount",
                "90 g"));
    assertThat(page("/pots/" + pot.code())).contains("Chill it until the edge sets");
    note(pot, "kind", "looked", "look", "EDGE_SET");
    assertThat(page("/pots/" + pot.code())).contains("Whip it");
    note(pot, "kind", "looked", "look", "STANDS");
    assertThat(page("/pots/" + pot.code())).contains("Spoon it into jars");
    double before = as(keeper, () -> pots.overrun().mean());
    note(
        pot,
        "kind",
        "poured",
        "groups[0].size",
        "50 ml",
        "groups[0].count",
        "4",
        "groups[0].where",
        "BODY");

    assertThat(before).isEqualTo(0.5);
    assertThat(as(keeper, () -> pots.overrun().mean())).isGreaterThan(0.5);
  }

  @ParameterizedTest
  @CsvSource({
    "OINTMENT,wax:beeswax",
    "SOFT_SALVE,wax:candelilla",
    "FIRM_BALM,wax:beeswax",
    "STICK,wax:carnauba",
    "LOTION_BAR,wax:beeswax",
    "POMADE,wax:beeswax",
    "BATH_OIL,carrier:jojoba",
    "COMPRESS_PADS,carrier:coconut"
  })
  void everyKindIsReckonedAndWeighedIn(String making, String second) throws Exception {
    String code = bottled(40);
    boolean open = Making.valueOf(making).stiff().isPresent();
    PotRecord pot =
        begun(
            ofBottle(
                code,
                making,
                "30 ml",
                "parts[1].thing",
                second,
                "parts[1].amount",
                open ? "" : "60 g"));

    assertThat(page("/pots/" + pot.code())).contains("Step by step").contains(pot.code());
    if (open) {
      double hardness = pot.state().melt(catalogue()).hardness();
      assertThat(hardness)
          .isCloseTo(
              pot.state().plan().making().stiff().orElseThrow().hardness().middle(), within(0.01));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"lotion", "soap", "hair", "wipes", "candle"})
  void oilDrawnForSomethingElseIsNamedAndTraced(String what) throws Exception {
    String code = bottled(40);
    PotRecord pot =
        begun(
            fresh(
                "making",
                "DRAWN",
                "forWhat",
                what,
                "parts[0].thing",
                "bottle:" + code + "-A",
                "parts[0].amount",
                "30 ml"));
    String page = page("/pots/" + pot.code());

    assertThat(page).contains("Drawn for").contains("What is in it, and where from");
    assertThat(page)
        .contains(
            switch (what) {
              case "soap" -> "Lye burns";
              case "candle" -> "Burning oil is a fire";
              default -> "Where oil meets water";
            });
    assertThat(page("/pots/of/batches/" + code)).contains(pot.code());
    assertThat(pot.state().status()).isEqualTo(PotState.Status.GONE);
  }

  @Test
  void aPoulticeIsOfTheMarcAndOnce() throws Exception {
    String code = bottled(40);
    PotRecord pot =
        begun(
            fresh(
                "making", "POULTICE", "parts[0].thing", "marc:" + code, "parts[0].amount", "60 g"));

    assertThat(page("/pots/" + pot.code()))
        .contains("Marc of yarrow")
        .contains("Lay it on unbroken skin")
        .contains("throw it out after");
    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(150);
  }

  @Test
  void whatIsWetCostsItsKeeping() throws Exception {
    String code = bottled(40);
    String[] fields =
        fresh(
            "making",
            "SALVE",
            "place",
            "FRIDGE",
            "parts[0].thing",
            "bottle:" + code + "-A",
            "parts[0].amount",
            "60 ml",
            "parts[1].thing",
            "wax:beeswax",
            "parts[1].amount",
            "10 g",
            "parts[2].thing",
            "extra:honey",
            "parts[2].amount",
            "1 tsp");
    PotRecord pot = begun(fields);

    assertThat(pot.bestBefore()).isEqualTo(today().plusDays(14));
    assertThat(page("/pots/" + pot.code()))
        .contains("brings water into something without a preservative")
        .contains("No honey for children under one year");
  }

  @Test
  void aRecipeIsKeptRevisedMadeAgainAndCarriedInAFile() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "60 ml", "10 g"));
    String link =
        send(keeper, "/pots/" + pot.code() + "/recipe", "name", "Ferry salve", "notes", "stir well")
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    String id = link.substring(link.lastIndexOf('/') + 1);
    assertThat(page("/pots/new?recipe=" + id)).contains("1:5.5");
    PotRecord second =
        begun(
            fresh(
                "making",
                "SALVE",
                "recipe",
                id + "-1",
                "parts[0].thing",
                "bottle:" + code + "-A",
                "parts[0].amount",
                "60 ml",
                "parts[1].thing",
                "wax:beeswax",
                "parts[1].amount",
                "14 g"));
    send(keeper, "/pots/" + second.code() + "/recipe", "name", "Ferry salve", "revises", id + "-1")
        .andExpect(status().is3xxRedirection());
    assertThat(page("/pots/recipes/" + id))
        .contains("Version 2")
        .contains("Changed:")
        .contains("Beeswax 15.4 → 20.3 %");
    assertThat(page("/pots/recipes")).contains("Ferry salve");

    String file =
        visit(keeper, "/pots/recipes/" + id + "/1.json")
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(file)
        .contains("\"@type\" : \"HowTo\"")
        .contains("HowToSupply")
        .contains("\"unitCode\" : \"GRM\"")
        .contains("HowToStep");
    String read = read(file.getBytes(StandardCharsets.UTF_8));
    String back =
        visit(keeper, "/pots/recipes/" + read.substring(read.lastIndexOf('/') + 1) + "/1.json")
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(back).isEqualTo(file);
  }

  private String read(byte[] bytes) throws Exception {
    return mvc.perform(
            multipart("/pots/recipes")
                .file(new MockMultipartFile("recipe", "r.json", "application/json", bytes))
                .with(authentication(signedIn(keeper)))
                .with(csrf()))
        .andExpect(status().is3xxRedirection())
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "no json",
        "[]",
        "{\"@type\":\"Recipe\"}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[]}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[{\"name\":\"Dragon fat\",\"requiredQuantity\":{\"value\":3,\"unitCode\":\"GRM\"}}]}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[{\"name\":\"Olive\",\"requiredQuantity\":{\"value\":-3,\"unitCode\":\"GRM\"}}]}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[{\"name\":\"Olive\",\"requiredQuantity\":{\"value\":3,\"unitCode\":\"ONZ\"}}]}"
      })
  void aFileThatIsNoRecipeIsRefusedWithWhatIsWrong(String text) throws Exception {
    mvc.perform(
            multipart("/pots/recipes")
                .file(
                    new MockMultipartFile(
                        "recipe", "r.json", "application/json", text.getBytes("UTF-8")))
                .with(authentication(signedIn(keeper)))
                .with(csrf()))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("wrong-file")));
  }

  @Test
  void aForeignRecipeIsReadByItsNames() throws Exception {
    String link =
        read(
            ("{\"@context\":\"https://schema.org\",\"@type\":\"HowTo\",\"name\":\"Plain balm\","
                    + "\"supply\":[{\"@type\":\"HowToSupply\",\"name\":\"Olive\","
                    + "\"requiredQuantity\":{\"value\":0.1,\"unitCode\":\"KGM\"}},"
                    + "{\"name\":\"Beeswax\",\"requiredQuantity\":{\"value\":20}}]}")
                .getBytes(StandardCharsets.UTF_8));

    assertThat(page(link)).contains("Plain balm").contains("83.3 %").contains("16.7 %");
  }

  @Test
  void theSentenceIsScaledAndPartsExchanged() throws Exception {
    String code = bottled(40);
    List<String> fields = new ArrayList<>(List.of(salve(code, "50 ml", "10 g")));
    fields.addAll(List.of("to", "all"));
    String scaled =
        send(keeper, "/pots/new/scale", fields.toArray(String[]::new))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(scaled).contains("value=\"137.3 g\"").contains("value=\"30 g\"");
    fields.addAll(List.of("part", "1", "instead", "wax:candelilla"));
    send(keeper, "/pots/new/exchange", fields.toArray(String[]::new))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Candelilla wax")));
  }

  @Test
  void leastIsLeftOver() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    send(
            keeper,
            "/pots/" + pot.code() + "/fill",
            "groups[0].size",
            "50 ml",
            "groups[0].where",
            "BODY",
            "groups[1].size",
            "15 ml",
            "groups[1].where",
            "BODY")
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("name=\"groups[0].count\"")))
        .andExpect(content().string(containsString("value=\"1\"")))
        .andExpect(content().string(containsString("value=\"4\"")))
        .andExpect(content().string(containsString("left over.")));
  }

  @Test
  void moneyIsByTheLotsOfOilAndWax() throws Exception {
    UUID wax = lot(LotDetails.Kind.WAX, "beeswax", 100, 1000);
    UUID oil = lot(LotDetails.Kind.CARRIER, "jojoba", 500, 2000);
    PotRecord pot =
        begun(
            fresh(
                "making",
                "SALVE",
                "parts[0].thing",
                "lot:" + oil,
                "parts[0].amount",
                "100 ml",
                "parts[1].thing",
                "lot:" + wax,
                "parts[1].amount",
                "15 g"));
    note(
        pot,
        "kind",
        "poured",
        "groups[0].size",
        "25 ml",
        "groups[0].count",
        "4",
        "groups[0].where",
        "BODY",
        "bought",
        "6");

    assertThat(page("/pots/" + pot.code())).contains("1.38 each, bought 6.00");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "making|CAKE|Choose one of the list",
        "hardness|rock|Expected 16, 1:5 or 3 tbsp to 1 cup",
        "hardness|300|between 1 and 90",
        "count|many|is not a number",
        "count|9999|Between 1 and 500",
        "size|0.2 ml|Between 1 ml and 20 l",
        "where|MOON|Choose one of the list",
        "place|MOON|Choose one of the list",
        "in|MOON|Choose one of the list",
        "parts[1].thing|wax:chocolate|chocolate",
        "parts[1].thing|lot:nonsense|choose again",
        "parts[1].thing|bottle:Z9Z-A|choose again",
        "parts[1].thing|nothing|Choose what goes in",
        "parts[1].amount|a lot|a lot",
        "drops[0].count|some|is not a number",
        "drops[0].oil|petrol|petrol"
      })
  void whatCannotBeReadIsSaidAndKept(String field, String typed, String said) throws Exception {
    String code = bottled(40);
    List<String> fields = new ArrayList<>(List.of(salve(code, "60 ml", "10 g")));
    fields.addAll(List.of("drops[0].oil", "lavender", "drops[0].count", "3"));
    if (fields.contains(field)) {
      fields.set(fields.indexOf(field) + 1, typed);
    } else {
      fields.addAll(List.of(field, typed));
    }
    send(keeper, "/pots", fields.toArray(String[]::new))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)))
        .andExpect(content().string(containsString("value=\"60 ml\"")));
    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(150);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "tested|feel|MUSHY|Choose one of the list",
        "tested|harder|99|Between",
        "looked|look|STANDS|whipped",
        "added|parts[0].amount||Say what was added",
        "poured|groups[0].size||Say what it is poured into",
        "poured|groups[0].size|a thimble|a thimble",
        "poured|groups[0].size|2 l|not enough left",
        "went|tin|Z9|Choose one of the list",
        "reacted|what||Say what was seen",
        "remarked|text||Between 1 and 4000 letters",
        "dance|text|x|Choose what to note"
      })
  void whatCannotBeNotedIsRefusedOnThePage(String kind, String field, String typed, String said)
      throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    send(
            keeper,
            "/pots/" + pot.code() + "/log",
            fresh("kind", kind, field, typed == null ? "" : typed, "groups[0].where", "BODY"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)));
    assertThat(again(pot).state().status()).isEqualTo(PotState.Status.IN_THE_PAN);
  }

  @Test
  void theRoundTellsOfAPotInThePan() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "100 ml", "17.4 g"));
    assertThat(page("/round")).contains("Test it and pour it").contains(pot.code());
    note(pot, "kind", "poured", "groups[0].size", "30 ml", "groups[0].where", "BODY");

    assertThat(page("/round")).doesNotContain("Test it and pour it");
    assertThat(visit(keeper, "/calendar/all").andReturn().getResponse().getContentAsString())
        .contains("Use by today: " + pot.code());
  }

  @Test
  void aPotOfAnotherHouseholdIsNotThere() throws Exception {
    String code = bottled(40);
    PotRecord pot = begun(salve(code, "60 ml", "10 g"));
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Stranger");

    visit(stranger, "/pots/" + pot.code()).andExpect(status().isNotFound());
    send(stranger, "/pots/" + pot.code() + "/log", "kind", "remarked", "text", "x", "key", "k")
        .andExpect(status().isNotFound());
    visit(stranger, "/pots/of/batches/" + code).andExpect(status().isNotFound());
    visit(stranger, "/pots").andExpect(content().string(not(containsString(pot.code()))));
  }
}
