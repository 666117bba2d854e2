package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.batch.Written;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.Dryings;
import velvetcrock.drawer.LotRecord;

/** Lots and drying loads: put in, picked, taken, counted, dried and put away. */
class DrawerTest extends DryingHouse {
  @Autowired Drawer drawer;
  @Autowired Dryings dryings;
  @Autowired velvetcrock.kitchen.Catalogues catalogues;

  private UUID yarrow(double grams) {
    return as(keeper, () -> drawer.add(herb(), grams, grams + " g", null, key()));
  }

  private LotDetails herb() {
    return new LotDetails(
        Kind.HERB,
        "yarrow",
        "",
        new LotDetails.Plant(Part.FLOWER, Cut.CUT, HerbState.DRIED, null),
        Origin.GROWN,
        "bed",
        new LotDetails.Dates(today().minusMonths(2), null, null, null),
        null,
        0L);
  }

  private UUID rapeseed(double ml) {
    return as(keeper, () -> drawer.add(SomeLots.rapeseed(today()), ml, ml + " ml", null, key()));
  }

  private Lot lot(UUID id) {
    return as(keeper, () -> drawer.lot(id).lot());
  }

  private static String key() {
    return UUID.randomUUID().toString();
  }

  private Charged charged(UUID herbLot, double grams, UUID oilLot, double ml) {
    return charged(herbLot, grams, oilLot, ml, today());
  }

  private Charged charged(UUID herbLot, double grams, UUID oilLot, double ml, LocalDate on) {
    String place = places.all().get(0).id().toString();
    return new Charged(
        Method.COLD,
        List.of(
            new HerbIn(
                "yarrow",
                Part.FLOWER,
                Cut.CUT,
                HerbState.DRIED,
                Range.exactly(grams),
                0.1,
                grams + " g",
                herbLot)),
        List.of(new OilIn("rapeseed", 1, on.plusMonths(10), on, null, oilLot)),
        new Charged.Oil(Range.exactly(ml), ""),
        new JarIn("Jar 500 ml", 530, 80),
        12,
        Use.SKIN,
        new Stand(place, "Dark cupboard", Light.DARK),
        new Charged.Begun(on, 0, false),
        true,
        Manner.PLAIN);
  }

  @Test
  void aLotIsPutInByAFormAndStandsInTheDrawer() throws Exception {
    send(
            keeper,
            "/drawer/lots",
            "kind",
            "HERB",
            "thing",
            "yarrow",
            "amount",
            "180 g",
            "state",
            "DRIED",
            "cut",
            "CUT",
            "origin",
            "FORAGED",
            "from",
            "west cliff",
            "harvestedOn",
            today().minusMonths(3).toString(),
            "price",
            "free",
            "key",
            key())
        .andExpect(redirectedUrl("/drawer"));

    visit(keeper, "/drawer")
        .andExpect(content().string(containsString("Yarrow")))
        .andExpect(content().string(containsString("180 g")));
    LotRecord lot = as(keeper, () -> drawer.of(Kind.HERB, "yarrow").get(0));
    visit(keeper, "/drawer/lots/" + lot.id())
        .andExpect(content().string(containsString("west cliff")))
        .andExpect(content().string(containsString("free")));
    visit(keeper, "/drawer/of/HERB/yarrow").andExpect(content().string(containsString("180 g")));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          HERB    | yarrow   | amount      | 120 g      | other  | 1 cup   | cannot both be true
          HERB    | yarrow   | amount      | much       | other  |         | cannot be read
          HERB    | yarrow   | amount      |            | other  |         | Say how much
          HERB    | moonwort | amount      | 10 g       | other  |         | no herb
          HERB    | yarrow   | harvestedOn | 2100-01-01 | amount | 10 g    | still to come
          HERB    | yarrow   | price       | dear       | amount | 10 g    | not a price
          HERB    | yarrow   | water       | 120        | amount | 10 g    | between 0 and 97
          CARRIER | olive    | amount      | 300 g      | other  | 200 ml  | cannot both be true
          CARRIER | olive    | origin      | GROWN      | amount | 10 ml   | Only herbs
          SPIRIT  |          | abv         |            | amount | 500 ml  | how strong
          SPIRIT  |          | abv         | 5          | amount | 500 ml  | how strong
          WAX     | beeswax  | amount      | 8 oz       | other  | 1 cup   | cannot both be true
          """)
  void whatCannotBeIsSaidAtItsFieldAndNothingIsPutIn(
      String kind, String thing, String field, String typed, String more, String also, String said)
      throws Exception {
    send(
            keeper,
            "/drawer/lots",
            "kind",
            kind,
            "thing",
            thing == null ? "" : thing,
            "state",
            "DRIED",
            "cut",
            "CUT",
            field,
            typed == null ? "" : typed,
            more,
            also == null ? "" : also,
            "key",
            key())
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)));
    assertThat(as(keeper, () -> drawer.fronts())).isEmpty();
  }

  @Test
  void aPickingACountAndAnUndoAreEntries() throws Exception {
    UUID id = yarrow(100);
    send(
            keeper,
            "/drawer/lots/" + id + "/log",
            "what",
            "picked",
            "amount",
            "40 g",
            "on",
            today().minusDays(1).toString(),
            "key",
            key())
        .andExpect(redirectedUrl("/drawer/lots/" + id));
    send(keeper, "/drawer/lots/" + id + "/log", "what", "counted", "amount", "120 g", "key", key());
    assertThat(lot(id).amount()).isEqualTo(120);

    String page =
        visit(keeper, "/drawer/lots/" + id).andReturn().getResponse().getContentAsString();
    var undo =
        java.util.regex.Pattern.compile("action=\"(/drawer/lots/[^\"]*/undo)\"").matcher(page);
    assertThat(undo.find()).isTrue(); // the newest, which is the count
    send(keeper, undo.group(1)).andExpect(redirectedUrl("/drawer/lots/" + id));

    assertThat(lot(id).amount()).isEqualTo(140);
    visit(keeper, "/drawer/lots/" + id)
        .andExpect(content().string(containsString("Counted: 120 g")))
        .andExpect(content().string(containsString("Taken back")));
  }

  @Test
  void aSecondTapUnderTheSameKeyIsNotWrittenAgain() {
    UUID id = yarrow(100);
    String key = key();

    as(keeper, () -> drawer.take(id, 30, "K7M", key));
    as(keeper, () -> drawer.take(id, 30, "K7M", key));

    assertThat(lot(id).amount()).isEqualTo(70);
  }

  @Test
  void describingALotAnewKeepsHowItWas() throws Exception {
    UUID id = rapeseed(900);
    visit(keeper, "/drawer/lots/" + id + "/details")
        .andExpect(content().string(containsString("value=\"6.5\"")));
    send(
            keeper,
            "/drawer/lots/" + id + "/details",
            "kind",
            "CARRIER",
            "thing",
            "rapeseed",
            "name",
            "Pressed at Norrick",
            "openedOn",
            today().minusDays(3).toString(),
            "boughtOn",
            today().minusMonths(1).toString(),
            "price",
            "6.50",
            "key",
            key())
        .andExpect(redirectedUrl("/drawer/lots/" + id));

    assertThat(lot(id).details().name()).isEqualTo("Pressed at Norrick");
    assertThat(lot(id).details().dates().openedOn()).isEqualTo(today().minusDays(3));
    assertThat(lot(id).amount()).isEqualTo(900);
    send(
            keeper,
            "/drawer/lots/" + id + "/details",
            "kind",
            "CARRIER",
            "thing",
            "olive",
            "key",
            key())
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("another lot")));
  }

  @Test
  void chargingTakesFromTheLotsAndTheBatchKnowsThem() throws Exception {
    UUID herb = yarrow(100);
    UUID oil = rapeseed(1000);

    Written written = as(keeper, () -> acts.charge(charged(herb, 30, oil, 400), key()));

    assertThat(lot(herb).amount()).isEqualTo(70);
    assertThat(lot(oil).amount()).isEqualTo(600);
    assertThat(written.shorts()).isEmpty();
    visit(keeper, "/batches/" + written.code())
        .andExpect(content().string(containsString("/drawer/lots/" + herb)))
        .andExpect(content().string(containsString("/drawer/lots/" + oil)));
    visit(keeper, "/drawer/lots/" + herb)
        .andExpect(content().string(containsString("30 g into " + written.code())));
  }

  @Test
  void whatALotLacksIsToldAndNotRefused() {
    UUID herb = yarrow(20);

    Written written = as(keeper, () -> acts.charge(charged(herb, 30, null, 400), key()));

    assertThat(lot(herb).amount()).isZero();
    assertThat(written.shorts())
        .singleElement()
        .satisfies(
            s -> {
              assertThat(s.wanted()).isEqualTo(30);
              assertThat(s.taken()).isEqualTo(20);
            });
  }

  @Test
  void aTopUpTakesFromTheSameLotAndGivesItBackWhenTakenBack() {
    UUID oil = rapeseed(1000);
    String code = as(keeper, () -> acts.charge(charged(null, 30, oil, 400), key()).code());

    Written topUp =
        as(
            keeper,
            () -> acts.append(code, new ToppedUp(50, "rapeseed", "50 ml"), null, null, key()));
    assertThat(lot(oil).amount()).isEqualTo(550);

    as(keeper, () -> acts.undo(code, topUp.entryId()));
    assertThat(lot(oil).amount()).isEqualTo(600);
  }

  @Test
  void nothingIsChargedBeforeItsHerbWasGathered() {
    UUID herb = yarrow(100);
    LocalDate gathered = today().minusMonths(2);

    assertThatThrownBy(
            () ->
                as(
                    keeper,
                    () -> acts.charge(charged(herb, 30, null, 400, gathered.minusDays(1)), key())))
        .hasMessageContaining("chargedOn")
        .hasMessageContaining("gathered on");
    assertThat(lot(herb).amount()).isEqualTo(100);
    as(keeper, () -> acts.charge(charged(herb, 30, null, 400, gathered), key()));
    assertThat(lot(herb).amount()).isEqualTo(70);
  }

  @Test
  void aLotOfSomethingElseIsRefusedAtItsField() {
    UUID oil = rapeseed(1000);

    assertThatThrownBy(() -> as(keeper, () -> acts.charge(charged(oil, 30, null, 400), key())))
        .hasMessageContaining("herbs[0].lot");
    assertThat(lot(oil).amount()).isEqualTo(1000);
  }

  /** Runs everything at once, each in its own thread, and waits for all of it. */
  private static <T> List<T> atOnce(List<Callable<T>> calls) throws Exception {
    ExecutorService hands = Executors.newFixedThreadPool(calls.size());
    try {
      List<T> done = new ArrayList<>();
      for (Future<T> call : hands.invokeAll(calls)) {
        done.add(call.get());
      }
      return done;
    } finally {
      hands.shutdown();
    }
  }

  @Test
  void chargesAtTheSameMomentNeverTakeALotBelowZero() throws Exception {
    UUID herb = yarrow(100);
    UUID oil = rapeseed(1000);
    List<Callable<Written>> charges = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      charges.add(() -> as(keeper, () -> acts.charge(charged(herb, 30, oil, 400), key())));
    }

    List<Written> written = atOnce(charges);

    assertThat(lot(herb).amount()).isZero();
    assertThat(lot(oil).amount()).isZero();
    double herbShort =
        written.stream()
            .flatMap(w -> w.shorts().stream())
            .filter(s -> s.lot().equals(herb))
            .mapToDouble(s -> s.wanted() - s.taken())
            .sum();
    assertThat(herbShort).isCloseTo(8 * 30 - 100, within(1e-6));
    assertThat(lot(herb).takings().stream().mapToDouble(Lot.Taking::amount).sum())
        .isCloseTo(100, within(1e-6));
  }

  @Test
  void handsThatTakeAtTheSameMomentTakeTurns() throws Exception {
    UUID herb = yarrow(100);
    List<Callable<Double>> takings = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      takings.add(() -> as(keeper, () -> drawer.take(herb, 30, "K7M", key())));
    }

    double taken = atOnce(takings).stream().mapToDouble(Double::doubleValue).sum();

    assertThat(taken).isCloseTo(100, within(1e-6));
    assertThat(lot(herb).amount()).isZero();
  }

  @Test
  void aBunchIsDriedBentAndPutAwayAsALot() throws Exception {
    String load = hangUp("85");
    visit(keeper, "/drawer").andExpect(content().string(containsString("hung in a bunch")));
    visit(keeper, "/").andExpect(content().string(containsString("Weigh the bunch")));

    send(
        keeper,
        load + "/log",
        "what",
        "weighed",
        "amount",
        "120 g",
        "happened",
        today().minusDays(15) + "T12:00",
        "key",
        key());
    visit(keeper, load)
        .andExpect(content().string(containsString("How this was reckoned")))
        .andExpect(content().string(containsString("75 %")));

    send(keeper, load + "/put-away", "amount", "33 g", "key", key())
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("crumbles")));
    send(keeper, load + "/log", "what", "snapped", "snap", "LEATHERY", "key", key());
    visit(keeper, load).andExpect(content().string(containsString("Leathery is not dry")));
    send(keeper, load + "/log", "what", "snapped", "snap", "CRUMBLES", "key", key());
    String away = key();
    send(keeper, load + "/put-away", "amount", "33 g", "key", away)
        .andExpect(redirectedUrl("/drawer"));
    send(keeper, load + "/put-away", "amount", "33 g", "key", away);

    List<LotRecord> lots = as(keeper, () -> drawer.of(Kind.HERB, "yarrow"));
    assertThat(lots).hasSize(1);
    assertThat(lots.get(0).lot().amount()).isEqualTo(33);
    assertThat(lots.get(0).lot().details().plant().waterFraction())
        .isCloseTo(1 - 30.0 / 33, within(1e-9));
    assertThat(lots.get(0).lot().harvestedOn()).hasValue(today().minusDays(20));
    visit(keeper, "/drawer").andExpect(content().string(not(containsString("hung in a bunch"))));
  }

  @Test
  void aLoadIsTakenWiltedWithTheWaterItStillHolds() throws Exception {
    String load = hangUp("85");
    send(keeper, load + "/put-away", "what", "wilted", "amount", "100 g", "key", key())
        .andExpect(redirectedUrl("/drawer"));

    LotRecord lot = as(keeper, () -> drawer.of(Kind.HERB, "yarrow").get(0));
    assertThat(lot.lot().details().plant().state()).isEqualTo(HerbState.WILTED);
    assertThat(lot.lot().waterFraction(catalogues.current())).isCloseTo(0.7, within(1e-9));
    send(keeper, "/bench", "amount", "100 g", "herbs[0].herb", "yarrow", "herbs[0].state", "WILTED")
        .andExpect(content().string(containsString("The water it brings")));
  }

  @Test
  void whatIsUsedForSomethingElseIsTakenOutOfTheCountAndCanBeTakenBack() throws Exception {
    UUID id = yarrow(100);
    send(
        keeper,
        "/drawer/lots/" + id + "/log",
        "what",
        "used",
        "amount",
        "15 g",
        "reason",
        "tea",
        "key",
        key());
    assertThat(lot(id).amount()).isEqualTo(85);
    visit(keeper, "/drawer/lots/" + id)
        .andExpect(content().string(containsString("15 g into tea")))
        .andExpect(content().string(not(containsString("/batches/tea"))));
    send(keeper, "/drawer/lots/" + id + "/log", "what", "used", "amount", "90 g", "key", key())
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("not so much of it")));
  }

  @ParameterizedTest
  @CsvSource({
    "230 g, above its fresh weight",
    "20 g, below its dry matter",
    "150 g, nothing gains weight",
    "banana, cannot be read",
    "2 cups, no weight"
  })
  void aSillyWeighingIsQuestionedWhereItWasMadeAndNotLogged(String typed, String said)
      throws Exception {
    String load = hangUp("85");
    send(
        keeper,
        load + "/log",
        "what",
        "weighed",
        "amount",
        "120 g",
        "happened",
        today().minusDays(15) + "T12:00",
        "key",
        key());

    send(keeper, load + "/log", "what", "weighed", "amount", typed, "key", key())
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)))
        .andExpect(content().string(containsString("value=\"" + typed + "\"")));
    UUID id = UUID.fromString(load.replaceAll(".*/", ""));
    assertThat(as(keeper, () -> dryings.load(id).drying().weighings())).hasSize(1);
  }

  @Test
  void aJarIsCountedAndOnlyFreeOnesAreProposed() throws Exception {
    send(keeper, "/kitchen/jars/count", "jar", "jar-500", "count", "1");
    send(keeper, "/kitchen/jars/count", "jar", "jar-720", "count", "2");
    visit(keeper, "/bench")
        .andExpect(content().string(containsString("1 of 1 free")))
        .andExpect(content().string(containsString("none here")));

    as(keeper, () -> acts.charge(charged(null, 30, null, 400), key()));
    visit(keeper, "/kitchen").andExpect(content().string(containsString("1 in use")));
    visit(keeper, "/bench?amount=30+g").andExpect(content().string(containsString("0 of 1 free")));
    send(keeper, "/kitchen/jars/count", "jar", "jar-500", "count", "many")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("not a number from 0")));
  }

  @Test
  void aVesselIsMeasuredByItsWidthToo() throws Exception {
    send(
            keeper,
            "/kitchen/jars",
            "jarName",
            "Oven dish",
            "shape",
            "DISH",
            "water",
            "1800 g",
            "width",
            "24",
            "count",
            "2")
        .andExpect(redirectedUrl("/kitchen"));

    var own = as(keeper, () -> vessels.ownJars().get(0));
    assertThat(own.jar().innerDiameterMm()).isEqualTo(240);
    assertThat(own.jar().shape()).isEqualTo(velvetcrock.core.materia.Jar.Shape.DISH);
    assertThat(own.count()).isEqualTo(2);
  }
}
