package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.product.ProductState;
import velvetcrock.products.ProductRecord;

/** What is poured: tins, their labels, dates, money and traces. */
class TinsTest extends ProductHouse {
  final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Test
  void aTinsDateIsTheSameWhereverItIsShown() throws Exception {
    String code = bottled(40);
    LocalDate oilUntil = bottle(code, "A").bestBefore();
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    pour(product, "30 ml", "BODY");
    String day =
        product.bestBefore().format(DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH));

    assertThat(product.bestBefore()).isEqualTo(oilUntil);
    assertThat(page("/products/" + product.code())).contains("Good until " + day);
    assertThat(labels(product).replace('\u00a0', ' ')).contains(day);
    String token =
        jdbc.queryForObject(
            "select token from bottle_pass where household_id = ?", String.class, house.id());
    mvc.perform(get("/b/" + token)).andExpect(content().string(containsString(day)));
    String calendar = visit(keeper, "/calendar/all").andReturn().getResponse().getContentAsString();
    String event = calendar.substring(calendar.indexOf("Use by today: " + product.code()) - 600);
    assertThat(event.substring(0, 900))
        .contains(
            "DTSTART;VALUE=DATE:" + product.bestBefore().format(DateTimeFormatter.BASIC_ISO_DATE));
  }

  @Test
  void moneyOfAnInfusedOilIsItsShareOfWhatItsBatchCost() throws Exception {
    UUID oil = lot(LotDetails.Kind.CARRIER, "rapeseed", 800, 1600);
    String code = bottled(40);
    as(
        keeper,
        () -> {
          Charged was = batches.find(code).state().charge();
          OilIn from = was.carriers().get(0);
          acts.supplyOilDates(
              code,
              List.of(new OilIn(from.carrier(), from.share(), from.bestBefore(), null, null, oil)));
          return null;
        });
    ProductRecord product = begun(salve(code, "80 ml", "10 g"));

    assertThat(page("/products/" + product.code()))
        .contains("2.00 in all; yarrow and beeswax without a price");
    assertThat(page("/products/of/lots/" + oil)).contains(product.code());
  }

  @Test
  void aPotIsPouredIntoMixedTinsWithScentInSomeOfThem() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
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
    note(product, rows);
    ProductState state = again(product).state();

    assertThat(state.filling().tins()).hasSize(2 + 3);
    assertThat(page("/products/" + product.code()))
        .contains("5 of 5 still here")
        .contains("for children from 2 to 6")
        .contains("1.67 % at most 2 %");
  }

  @ParameterizedTest
  @CsvSource({
    "thing, extra:honey, amount, '', Say how much is stirred in",
    "thing, '', amount, 1 tsp, Say what is stirred in",
    "thing, extra:honey, amount, a lot, a lot",
    "oil, lavender, drops, '', Say how many drops",
    "oil, '', drops, 3, Say of which oil"
  })
  void whatIsStirredIntoSomeTinsIsSaidWholeOrAskedFor(
      String what, String thing, String much, String amount, String said) throws Exception {
    ProductRecord product = begun(salve(bottled(40), "100 ml", "17.4 g"));

    send(
            keeper,
            "/products/" + product.code() + "/log",
            fresh(
                "kind",
                "poured",
                "groups[0].size",
                "15 ml",
                "groups[0].where",
                "BODY",
                "groups[0]." + what,
                thing,
                "groups[0]." + much,
                amount))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)))
        .andExpect(content().string(containsString("value=\"15 ml\"")));
    assertThat(again(product).state().filling().groups()).isEmpty();
  }

  @Test
  void honeyInSomeTinsIsOnTheirLabelsAndShortensTheirsAlone() throws Exception {
    String code = bottled(40);
    List<String> fields = new ArrayList<>(List.of(salve(code, "100 ml", "17.4 g")));
    fields.addAll(List.of("place", "FRIDGE"));
    ProductRecord product = begun(fields.toArray(String[]::new));
    pour(
        product,
        "15 ml",
        "BODY",
        "groups[0].count",
        "2",
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
    ProductRecord poured = again(product);

    assertThat(poured.bestBefore()).isEqualTo(today().plusDays(14));
    assertThat(poured.bestBefore(poured.state().filling().groups().get(0)))
        .isEqualTo(today().plusDays(14));
    assertThat(poured.bestBefore(poured.state().filling().groups().get(1)))
        .isAfter(today().plusMonths(2));
    assertThat(page("/products/" + product.code()))
        .contains("7.1 g Honey")
        .contains("No honey for children under one year");
    assertThat(labels(product)).contains("no preservative").contains("honey").contains("Mel");
    send(
            keeper,
            "/products/" + begun(salve(code, "20 ml", "3 g")).code() + "/log",
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
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    List<String> rows =
        new ArrayList<>(
            List.of(
                "kind", "poured",
                "groups[0].size", "15 ml",
                "groups[0].count", "4",
                "groups[0].where", "CHILD_2_6",
                "groups[0].oil", "lavender",
                "groups[0].drops", "20"));
    String path = "/products/" + product.code() + "/log";
    send(keeper, path, sentence("a" + UUID.randomUUID(), rows.toArray(String[]::new)))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("at most 0.5 %")))
        .andExpect(content().string(containsString("Why above the ceiling?")));
    rows.addAll(List.of("groups[0].reason", "asked the pharmacist"));
    note(product, rows.toArray(String[]::new));

    assertThat(page("/products/" + product.code()))
        .contains("Above a ceiling.")
        .contains("asked the pharmacist");
    assertThat(labels(product))
        .contains("Above the usual ceiling")
        .contains("asked the pharmacist");
  }

  @Test
  void everyTinHasALabelWhoseCodeOpensWithoutSignInUntilItIsVoid() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    pour(product, "30 ml", "BODY");
    String text = labels(product);
    assertThat(text)
        .contains(product.code() + "-A1")
        .contains(product.code() + "-A3")
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
    send(keeper, "/products/" + product.code() + "/groups/A/void-pass")
        .andExpect(status().is3xxRedirection());
    mvc.perform(get("/b/" + token)).andExpect(status().isNotFound());
  }

  /** Labels with words that are not printed. */
  private ResultActions refused(ProductRecord product, String words) throws Exception {
    return send(
            keeper,
            "/products/" + product.code() + "/labels",
            "bottle",
            "A",
            "grid",
            "a4-8",
            "words",
            words,
            "address",
            "http://cottage.example")
        .andExpect(status().isUnprocessableContent());
  }

  @Test
  void aQuestionedWordOnALabelIsAskedAbout() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    pour(product, "30 ml", "BODY");
    visit(keeper, "/products/" + product.code() + "/labels").andExpect(status().isOk());
    refused(product, "heals wounds").andExpect(content().string(containsString("medical claim")));
  }

  @Test
  void whatIsRefusedAsItIsPrintedMakesNoPasses() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    pour(product, "30 ml", "BODY");
    refused(product, "鼠尾草").andExpect(content().string(containsString("Latin letters")));
    assertThat(
            jdbc.queryForObject(
                "select count(*) from bottle_pass where product_id = ?",
                Integer.class,
                product.id()))
        .isZero();
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
    ProductRecord product = begun(salve(code, "60 ml", "lot:" + wax, "10 g"));

    assertThat(page("/products/" + product.code()))
        .contains("Cold-pressed rapeseed, bought")
        .contains("Beeswax, bought");
    assertThat(page("/products/of/lots/" + oil)).contains(product.code());
    assertThat(page("/products/of/lots/" + wax)).contains(product.code());
    assertThat(page("/products/of/batches/" + code)).contains(product.code());
    assertThat(page("/drawer/lots/" + wax)).contains("What it went into");
    assertThat(page("/journal?words=" + product.code())).contains("Weighed in: salve");
  }

  @Test
  void whatSkinsReactedToIsComparedAndWhomElseItWentToIsTold() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    pour(
        product,
        "15 ml",
        "BODY",
        "groups[0].count",
        "3",
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
    note(product, "kind", "went", "tin", "A1", "fate", "GIVEN", "to", "the ferry crew");
    note(product, "kind", "went", "tin", "A2", "fate", "GIVEN", "to", "the wool spinners");
    note(product, "kind", "went", "tin", "B1", "fate", "USED_UP");
    note(product, "kind", "went", "tin", "B2", "fate", "USED_UP");
    assertThat(page("/products/reactions")).contains("Nothing has been reported");
    note(product, "kind", "reacted", "tin", "A1", "what", "red by the morning");

    assertThat(page("/products/reactions"))
        .contains("Geranium (essential oil)")
        .contains("in no trouble-free tin")
        .contains("Against 2 tins")
        .contains(
            "Tins with it went to the ferry crew (" + product.code() + "-A1), the wool spinners")
        .contains("the wool spinners (" + product.code() + "-A2)")
        .contains("a doctor, now");
  }

  @Test
  void leastIsLeftOver() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    send(
            keeper,
            "/products/" + product.code() + "/fill",
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
    ProductRecord product =
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
    pour(product, "25 ml", "BODY", "groups[0].count", "4", "bought", "6");

    assertThat(page("/products/" + product.code())).contains("1.38 each, bought 6.00");
  }
}
