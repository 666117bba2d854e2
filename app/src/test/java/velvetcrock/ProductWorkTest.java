package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.StirredIn;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.Products;

/** A product in the pan: what is read, tested, added and whipped. */
class ProductWorkTest extends ProductHouse {
  @Autowired BatchReadings readings;

  @Test
  void undoingAnAdditionGivesItBack() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "60 ml", "10 g"));
    Products.Done added =
        as(
            keeper,
            () ->
                products.append(
                    product.code(),
                    new StirredIn(
                        List.of(product.state().parts().get(0).withMassG(9.15)), List.of(), ""),
                    null,
                    null,
                    UUID.randomUUID().toString()));
    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(80, within(0.05));
    send(keeper, "/products/" + product.code() + "/entries/" + added.entry() + "/undo")
        .andExpect(status().is3xxRedirection());

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(90, within(0.05));
  }

  @Test
  void theSpoonTestSaysWhatToAddNow() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    note(product, "kind", "tested", "feel", "A_BIT_SOFT");

    assertThat(page("/products/" + product.code()))
        .contains("a bit soft")
        .containsPattern("Add [12]\\.?\\d* g of beeswax");
    note(product, "kind", "tested", "harder", "-3", "still", "50 g");
    assertThat(page("/products/" + product.code()))
        .contains("far too hard")
        .contains("to the 50 g in the pan");
    note(product, "kind", "tested", "feel", "RIGHT");
    assertThat(page("/products/" + product.code())).contains("It is right: pour it.");
  }

  @Test
  void aReadTemperatureSaysWhatCanBeDone() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    note(product, "kind", "read", "celsius", "70");
    assertThat(page("/products/" + product.code()))
        .contains("It read 70 °C")
        .contains("Now you can");
    note(product, "kind", "read", "celsius", "30 C");
    assertThat(page("/products/" + product.code())).contains("warm it again to pour");
    send(
            keeper,
            "/products/" + product.code() + "/log",
            sentence("k" + UUID.randomUUID(), "kind", "read", "celsius", "warm"))
        .andExpect(status().isUnprocessableContent());
  }

  @Test
  void theStovesReadingIsOffered() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    assertThat(page("/products/" + product.code())).doesNotContain("The stove’s thermometer reads");
    String hot = charge(0);
    log(
        hot,
        new PutOnHeat(
            new Heater(null, Appliance.SLOW_COOKER.words(), Appliance.SLOW_COOKER),
            new Knob("warm", null, 1.0),
            null));
    as(
        keeper,
        () ->
            readings.add(
                batches.find(hot), List.of(new BatchReckoning.Reading(Instant.now(), 61.4))));

    assertThat(page("/products/" + product.code())).contains("The stove’s thermometer reads 61 °C");
  }

  @Test
  void aWhippedButterRunsByItsLooksAndTeachesItsOverrun() throws Exception {
    String code = bottled(40);
    ProductRecord product =
        begun(
            ofBottle(
                code,
                "WHIPPED_BUTTER",
                "20 ml",
                "parts[1].thing",
                "carrier:shea",
                "parts[1].amount",
                "90 g"));
    assertThat(page("/products/" + product.code())).contains("Chill it until the edge sets");
    note(product, "kind", "looked", "look", "EDGE_SET");
    assertThat(page("/products/" + product.code())).contains("Whip it");
    note(product, "kind", "looked", "look", "STANDS");
    assertThat(page("/products/" + product.code())).contains("Spoon it into jars");
    double before = as(keeper, () -> products.overrun().mean());
    pour(product, "50 ml", "BODY", "groups[0].count", "4");

    assertThat(before).isEqualTo(0.5);
    assertThat(as(keeper, () -> products.overrun().mean())).isGreaterThan(0.5);
  }

  @Test
  void vitaminEIsDosedBeforeItGoesInAndQuestionedWhereItIsTooMuch() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "60 ml", "10 g"));
    assertThat(page("/products/" + product.code()))
        .contains("if you want it, 0.16 g, about 3 drops");

    note(product, "kind", "added", "parts[0].thing", "extra:vitamin-e", "parts[0].amount", "0.2 g");
    assertThat(page("/products/" + product.code())).contains("0.2 g in it, against rancidity");

    note(product, "kind", "added", "parts[0].thing", "extra:vitamin-e", "parts[0].amount", "1 g");
    assertThat(page("/products/" + product.code()))
        .contains("1.2 g is too much and hastens rancidity: at most 0.3 g");
  }

  @Test
  void anAbandonedPotIsNeitherPricedNorDated() throws Exception {
    UUID wax = lot(LotDetails.Kind.WAX, "beeswax", 100, 500);
    ProductRecord product = begun(salve(bottled(40), "60 ml", "lot:" + wax, "10 g"));
    assertThat(page("/products/" + product.code())).contains("Good until", "0.50 in all");

    note(product, "kind", "abandoned", "back", "yes", "text", "Called away");

    assertThat(page("/products/" + product.code()))
        .contains("what was taken went back")
        .doesNotContain("Good until", "Costs");
    assertThat(page("/products")).contains("abandoned").doesNotContain("until");
  }

  @Test
  void whatIsWetCostsItsKeeping() throws Exception {
    String code = bottled(40);
    String[] fields =
        ofBottle(
            code,
            "SALVE",
            "60 ml",
            "place",
            "FRIDGE",
            "parts[1].thing",
            "wax:beeswax",
            "parts[1].amount",
            "10 g",
            "parts[2].thing",
            "extra:honey",
            "parts[2].amount",
            "1 tsp");
    ProductRecord product = begun(fields);

    assertThat(product.bestBefore()).isEqualTo(today().plusDays(14));
    assertThat(page("/products/" + product.code()))
        .contains("brings water into something without a preservative")
        .contains("No honey for children under one year");
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
        "went|tin|Z9|Choose one of the list",
        "reacted|what||Say what was seen",
        "remarked|text||Between 1 and 4000 letters",
        "dance|text|x|Choose what to note"
      })
  void whatCannotBeNotedIsRefusedOnThePage(String kind, String field, String typed, String said)
      throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    send(
            keeper,
            "/products/" + product.code() + "/log",
            fresh("kind", kind, field, typed == null ? "" : typed, "groups[0].where", "BODY"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)));
    assertThat(again(product).state().status()).isEqualTo(ProductState.Status.IN_THE_PAN);
  }

  @Test
  void theRoundTellsOfAPotInThePan() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    assertThat(page("/round")).contains("Test it and pour it").contains(product.code());
    pour(product, "30 ml", "BODY");

    assertThat(page("/round")).doesNotContain("Test it and pour it");
    assertThat(visit(keeper, "/calendar/all").andReturn().getResponse().getContentAsString())
        .contains("Use by today: " + product.code());
  }

  /** What the sentence said of tins is there when it is poured. */
  @Test
  void sizesAndCountsComeFromTheSentenceToThePouring() throws Exception {
    String code = bottled(40);
    String[] typed = salve(code, "100 ml", "17.4 g");
    List<String> fields = new ArrayList<>(List.of(typed));
    fields.addAll(List.of("count", "3", "size", "25 ml"));
    ProductRecord product = begun(fields.toArray(String[]::new));

    assertThat(
            visit(keeper, "/products/" + product.code())
                .andReturn()
                .getResponse()
                .getContentAsString())
        .containsPattern("(?s)name=\"groups\\[0\\].size\"[^>]*value=\"25 ml\"")
        .containsPattern("(?s)name=\"groups\\[0\\].count\"[^>]*value=\"3\"");
  }

  @ParameterizedTest
  @CsvSource({"''", "1"})
  void allOfItGoesIntoOneJarThatIsLarger(String count) throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    pour(product, "1 l", "BODY", "groups[0].count", count);

    ProductState state = again(product).state();
    assertThat(state.filling().tins()).hasSize(1);
    assertThat(state.pouredMl()).isBetween(100.0, 125.0);
  }

  @Test
  void whatIsLackingIsSaidInTheHousesMeasureAndNothingIsLost() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    String answer =
        send(
                keeper,
                "/products/" + product.code() + "/log",
                fresh(
                    "kind",
                    "poured",
                    "groups[0].size",
                    "30 ml",
                    "groups[0].count",
                    "5",
                    "groups[0].where",
                    "BODY",
                    "left",
                    "KEPT"))
            .andExpect(status().isUnprocessableContent())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(answer)
        .containsPattern("5 of 30 ml need \\d+(\\.\\d)? ml more than the 1\\d\\d ml that there are")
        .containsPattern("(?s)value=\"KEPT\" checked");
  }

  /** Two tins now, the rest scraped together into one later. */
  @Test
  void itIsPouredInSeveralGoes() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    pour(product, "30 ml", "BODY", "groups[0].count", "2", "left", "KEPT");

    assertThat(again(product).state().filling().kept()).isTrue();
    assertThat(page("/products/" + product.code())).contains("left in the pan");
    note(product, "kind", "poured", "groups[0].size", "100 ml", "groups[0].where", "FACE");
    ProductState state = again(product).state();
    assertThat(state.filling().tins()).extracting(t -> t.name()).containsExactly("A1", "A2", "B1");
    assertThat(state.filling().kept()).isFalse();
    assertThat(state.pouredMl()).isBetween(100.0, 125.0);
    assertThat(page("/products/" + product.code())).doesNotContain("left in the pan");
    send(
            keeper,
            "/products/" + product.code() + "/log",
            fresh("kind", "poured", "groups[0].size", "5 ml", "groups[0].where", "BODY"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("poured already")));
  }

  @Test
  void aNameThatClaimsToHealIsQuestionedAndAKindThatCannotBeSaysWhatCan() throws Exception {
    String code = bottled(40);
    String sentence = "making=SALVE&parts[0].thing=bottle:" + code + "-A&parts[0].amount=60ml";
    assertThat(page("/products/new?name=Eczema%20cure&" + sentence))
        .contains("may count as a medical claim");
    assertThat(page("/products/new?name=Harbour%20salve&" + sentence))
        .doesNotContain("may count as a medical claim");
    assertThat(page("/products/new?" + sentence.replace("SALVE", "COMPRESS_PADS")))
        .contains("With what is in it, it can be");
  }

  @Test
  void aPoulticeCannotOutweighItsSpentHerb() throws Exception {
    String code = bottled(40);
    send(
            keeper,
            "/products",
            fresh(
                "making", "POULTICE", "parts[0].thing", "marc:" + code, "parts[0].amount", "900 g"))
        .andExpect(status().isUnprocessableContent());
  }
}
