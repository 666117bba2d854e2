package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductState;
import velvetcrock.products.ProductRecord;

/** Products as they are reckoned and weighed in, and what they take from bottles and drawers. */
class ProductsTest extends ProductHouse {
  @Test
  void whatIsLeftOpenIsReckonedAsOneTypes() throws Exception {
    String code = bottled(40);
    send(keeper, "/products/new", salve(code, "100 ml", ""))
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
    ProductRecord product = begun(all.toArray(String[]::new));

    assertThat(product.state().melt(catalogue()).volumeMl()).isCloseTo(60 / 0.97, within(0.01));
    assertThat(product.state().melt(catalogue()).hardness()).isCloseTo(16, within(0.01));
  }

  @Test
  void oilIsDrawnFromItsBottleOnceHoweverOftenItIsSent() throws Exception {
    String code = bottled(40);
    String[] fields = salve(code, "60 ml", "10 g");
    ProductRecord first = begun(fields);
    ProductRecord second = begun(fields);

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
        taps.add(() -> send(keeper, "/products", fields).andReturn().getResponse().getStatus());
      }
      for (Future<Integer> tap : hands.invokeAll(taps)) {
        assertThat(tap.get()).isEqualTo(302);
      }
    } finally {
      hands.shutdown();
    }

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(90, within(0.01));
    assertThat(as(keeper, () -> products.standing())).hasSize(1);
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
        taps.add(() -> send(keeper, "/products", fields).andReturn().getResponse().getStatus());
      }
      for (Future<Integer> tap : hands.invokeAll(taps)) {
        answers.add(tap.get());
      }
    } finally {
      hands.shutdown();
    }

    assertThat(answers).containsExactlyInAnyOrder(302, 422);
    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(50, within(0.01));
    assertThat(as(keeper, () -> products.standing())).hasSize(1);
  }

  @Test
  void anAbandonedPotGivesEverythingBackByEntries() throws Exception {
    String code = bottled(40);
    UUID wax = lot(LotDetails.Kind.WAX, "beeswax", 200, 900);
    ProductRecord product = begun(salve(code, "60 ml", "lot:" + wax, "10 g"));
    assertThat(as(keeper, () -> drawer.lot(wax).lot().amount())).isCloseTo(190, within(1e-6));
    note(
        product,
        "kind",
        "added",
        "parts[0].thing",
        "bottle:" + code + "-A",
        "parts[0].amount",
        "5 ml");
    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(85, within(0.01));
    note(product, "kind", "abandoned", "back", "yes", "text", "called away");

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(150, within(0.01));
    assertThat(as(keeper, () -> drawer.lot(wax).lot().amount())).isCloseTo(200, within(1e-6));
    assertThat(again(product).state().status()).isEqualTo(ProductState.Status.ABANDONED);
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
                    .filter(e -> e.entry().event() instanceof Drawn)
                    .findFirst()
                    .orElseThrow()
                    .entry()
                    .id());
    send(keeper, "/batches/" + code + "/entries/" + drawn + "/undo");

    assertThat(bottle(code, "A").bottle().leftMl()).isCloseTo(90, within(0.01));
  }

  @Test
  void oilStraightFromTheClothIsUsedUnbottled() throws Exception {
    String code = bottled(40);
    ProductRecord product =
        begun(
            fresh(
                "making",
                "MASSAGE_OIL",
                "parts[0].thing",
                "cloth:" + code,
                "parts[0].amount",
                "15 ml"));

    assertThat(product.state().parts().get(0).infused().letter()).isNull();
    send(
            keeper,
            "/products",
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
    send(keeper, "/products", salve(code, "400 ml", "30 g"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("There are 150 ml of it")))
        .andExpect(content().string(containsString("value=\"400 ml\"")));
    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(150);
  }

  private String[] inParts(String code, String oil, String wax, String... more) {
    List<String> fields = new ArrayList<>(List.of(salve(code, oil, wax)));
    fields.addAll(List.of(more));
    return fields.toArray(String[]::new);
  }

  @Test
  void partsAndANumberOfTinsAreEnough() throws Exception {
    String code = bottled(40);
    ProductRecord product =
        begun(inParts(code, "4 parts", "1 part", "count", "3", "size", "30 ml"));
    List<PartIn> parts = product.state().parts();
    assertThat(parts.get(0).massG() / parts.get(1).massG()).isCloseTo(4, within(1e-6));
    assertThat(parts.get(0).massG() + parts.get(1).massG()).isBetween(80.0, 95.0);
    assertThat(parts.get(1).text()).isEqualTo("1 part");
  }

  @Test
  void partsAloneAndPartsBesideAmountsAreAskedBack() throws Exception {
    String code = bottled(40);
    send(keeper, "/products", inParts(code, "4 parts", "1 part"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("say how many of what size it fills")));
    send(keeper, "/products", inParts(code, "60 ml", "1 part", "count", "3", "size", "30 ml"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("Give each parts, or each an amount")));
    send(keeper, "/products", inParts(code, "4 parts", "1 part", "count", "30", "size", "30 ml"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("There are 150 ml of it")));
  }

  @Test
  void aWeightAndAVolumeThatCannotBothBeAreFound() throws Exception {
    String code = bottled(40);
    send(keeper, "/products/new", salve(code, "100 ml", "60 g = 3 tbsp"))
        .andExpect(content().string(containsString("wrong")))
        .andExpect(content().string(not(containsString("Weigh it in</button>"))));
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
    boolean open = ProductKind.valueOf(making).stiff().isPresent();
    ProductRecord product =
        begun(
            ofBottle(
                code,
                making,
                "30 ml",
                "parts[1].thing",
                second,
                "parts[1].amount",
                open ? "" : "60 g"));

    assertThat(page("/products/" + product.code()))
        .contains("Step by step")
        .contains(product.code());
    if (open) {
      double hardness = product.state().melt(catalogue()).hardness();
      assertThat(hardness)
          .isCloseTo(
              product.state().plan().making().stiff().orElseThrow().hardness().middle(),
              within(0.01));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"lotion", "soap", "hair", "wipes", "candle"})
  void oilDrawnForSomethingElseIsNamedAndTraced(String what) throws Exception {
    String code = bottled(40);
    ProductRecord product =
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
    String page = page("/products/" + product.code());

    assertThat(page).contains("Infused for").contains("What is in it, and where from");
    assertThat(page)
        .contains(
            switch (what) {
              case "soap" -> "Lye burns";
              case "candle" -> "Burning oil is a fire";
              default -> "Where oil meets water";
            });
    assertThat(page("/products/of/batches/" + code)).contains(product.code());
    assertThat(product.state().status()).isEqualTo(ProductState.Status.GONE);
  }

  @Test
  void whatIsStirredCoolIsMixedHarderAndSaysSo() throws Exception {
    String[] plain = salve(bottled(40), "100 ml", "");
    String[] stirred = Arrays.copyOf(plain, plain.length + 2);
    stirred[plain.length] = "stirred";
    stirred[plain.length + 1] = "yes";

    send(keeper, "/products/new", plain)
        .andExpect(content().string(containsString("It takes 17.4 g of beeswax.")))
        .andExpect(content().string(not(containsString("Stirred cool"))));
    send(keeper, "/products/new", stirred)
        .andExpect(content().string(containsString("ends up 1.5 softer")))
        .andExpect(content().string(containsString("It takes 19.4 g of beeswax.")));
  }

  @Test
  void aWhippedButterGrowsAndDropsAreWeighedAgainstTheirCeilings() throws Exception {
    send(
            keeper,
            "/products/new",
            ofBottle(
                bottled(40),
                "WHIPPED_BUTTER",
                "40 ml",
                "parts[1].thing",
                "carrier:shea",
                "parts[1].amount",
                "100 g",
                "drops[0].oil",
                "lavender",
                "drops[0].count",
                "10",
                "where",
                "BODY"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("by 50")))
        .andExpect(content().string(containsString("Lavender")))
        .andExpect(content().string(containsString("at most 2")));
  }

  @Test
  void aPoulticeIsOfTheMarcAndOnce() throws Exception {
    String code = bottled(40);
    ProductRecord product =
        begun(
            fresh(
                "making", "POULTICE", "parts[0].thing", "marc:" + code, "parts[0].amount", "60 g"));

    assertThat(page("/products/" + product.code()))
        .contains("Spent herb of yarrow")
        .contains("Lay it on unbroken skin")
        .contains("throw it out after");
    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(150);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "making|CAKE|Choose one of the list",
        "hardness|rock|Expected 16, 1:5, 20 g to 100 ml, or 3 tbsp to 1 cup",
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
        "drops[0].count|some|How many did you count?",
        "drops[0].count|a few drops|How many did you count?",
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
    send(keeper, "/products", fields.toArray(String[]::new))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)))
        .andExpect(content().string(containsString("value=\"60 ml\"")));
    assertThat(bottle(code, "A").bottle().leftMl()).isEqualTo(150);
  }

  @Test
  void aPotOfAnotherHouseholdIsNotThere() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "60 ml", "10 g"));
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Stranger");

    visit(stranger, "/products/" + product.code()).andExpect(status().isNotFound());
    send(
            stranger,
            "/products/" + product.code() + "/log",
            "kind",
            "remarked",
            "text",
            "x",
            "key",
            "k")
        .andExpect(status().isNotFound());
    visit(stranger, "/products/of/batches/" + code).andExpect(status().isNotFound());
    visit(stranger, "/products").andExpect(content().string(not(containsString(product.code()))));
  }
}
