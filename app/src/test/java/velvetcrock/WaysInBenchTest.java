package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.batch.BatchRecord;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.drawer.Drawer;

/**
 * The ways in at the bench and on the batch's page: fresh, spirit, blends, slurry, by eye, again.
 */
class WaysInBenchTest extends AppTest {
  @Autowired Drawer drawer;

  private final Map<String, String> sentence = new LinkedHashMap<>();

  private void say(String... fields) {
    for (int i = 0; i < fields.length; i += 2) {
      sentence.put(fields[i], fields[i + 1]);
    }
  }

  private String[] fields(String... more) {
    Map<String, String> all = new LinkedHashMap<>();
    all.put("amount", "60 g");
    all.put("herbs[0].herb", "violet-leaf");
    all.put("oils[0].carrier", "olive");
    all.putAll(sentence);
    for (int i = 0; i < more.length; i += 2) {
      all.put(more[i], more[i + 1]);
    }
    return all.entrySet().stream()
        .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
        .toArray(String[]::new);
  }

  private String reckoned() throws Exception {
    return send(keeper, "/bench/reckon", fields())
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ");
  }

  private BatchRecord charged(String... more) throws Exception {
    String page =
        send(
                keeper,
                "/bench/charge",
                Stream.concat(
                        Stream.of(fields(more)),
                        Stream.of(
                            "clean", "yes",
                            "bestBefore", today().plusMonths(12).toString(),
                            "key", UUID.randomUUID().toString()))
                    .toArray(String[]::new))
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    return as(keeper, () -> batches.find(page.replaceAll(".*/", "")));
  }

  private void log(BatchRecord batch, String... fields) throws Exception {
    send(
            keeper,
            "/batches/" + batch.code() + "/log",
            Stream.concat(Stream.of(fields), Stream.of("key", UUID.randomUUID().toString()))
                .toArray(String[]::new))
        .andExpect(status().is3xxRedirection());
  }

  private UUID lot(String herb, Part part, HerbState state, double grams, int monthsOld) {
    return as(
        keeper,
        () ->
            drawer.add(
                new LotDetails(
                    Kind.HERB,
                    herb,
                    "",
                    new LotDetails.Plant(part, Cut.CUT, state, null),
                    Origin.GROWN,
                    "bed",
                    new LotDetails.Dates(today().minusMonths(monthsOld), null, null, null),
                    null,
                    null),
                grams,
                "",
                null,
                UUID.randomUUID().toString()));
  }

  @Test
  void freshHerbSaysWhatWaterItBringsAndHowToGoOn() throws Exception {
    say("herbs[0].state", "FRESH", "amount", "160 g");

    assertThat(reckoned())
        .contains("The water it brings")
        .contains("135 ml")
        .contains("Dry it first")
        .contains("Wilt it")
        .contains("Has to lose 135 g")
        .contains("For the kitchen only")
        .contains("left to drip")
        .contains("Fresh herb standing cold in a closed jar");
  }

  @ParameterizedTest
  @CsvSource({
    "FRESH, herbs[0].water, 80, 124 ml",
    "FRESH, herbs[0].unrinsed, 140 g, 138 ml",
    "WILTED, herbs[0].fresh, 400 g, 96 ml",
    "WILTED, herbs[0].water, 40, 51 ml"
  })
  void itsOwnWaterItsWeightWhenFreshAndItsRinsingCount(
      String state, String field, String typed, String water) throws Exception {
    say("herbs[0].state", state, "amount", "160 g", field, typed);

    assertThat(reckoned()).contains(water);
  }

  @ParameterizedTest
  @CsvSource({
    "herbs[0].water, wet, not a number",
    "herbs[0].unrinsed, 200 g, Rinsing makes it heavier",
    "herbs[0].unrinsed, 2 cups, no weight"
  })
  void waterThatCannotBeIsSaid(String field, String typed, String said) throws Exception {
    say("herbs[0].state", "FRESH", "amount", "160 g", field, typed);

    assertThat(reckoned()).contains(said);
  }

  @Test
  void aClosedColdJarOfFreshHerbIsPossibleOnlyHavingReadTheCautions() throws Exception {
    say("herbs[0].state", "FRESH");
    send(
            keeper,
            "/bench/charge",
            fields("clean", "yes", "read", "free-water", "key", UUID.randomUUID().toString()))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("tick it if you go on")));

    BatchRecord batch = charged("read[0]", "free-water", "read[1]", "fresh-cold");

    assertThat(batch.state().charge().manner().read())
        .containsExactlyInAnyOrder("free-water", "fresh-cold");
    assertThat(batch.state().charge().herbs().get(0).state()).isEqualTo(HerbState.FRESH);
    visit(keeper, "/batches/" + batch.code())
        .andExpect(content().string(containsString("losing its water")));
  }

  @Test
  void freshHerbOnHeatIsWeighedUntilItIsDry() throws Exception {
    say("herbs[0].state", "FRESH", "amount", "160 g", "method", "CROCK");
    BatchRecord batch = charged("read", "free-water");
    assertThat(batch.state().charge().method()).isEqualTo(Method.CROCK);
    String page = "/batches/" + batch.code();
    visit(keeper, page)
        .andExpect(content().string(containsString("Weigh it for a start")))
        .andExpect(content().string(containsString("Weighing the water out")));

    log(batch, "kind", "pot-weighed", "gross", "3000 g");
    visit(keeper, page).andExpect(content().string(containsString("is dry at 2865 g")));
    send(keeper, page + "/log", "kind", "pot-weighed", "gross", "3100 g", "key", "heavier")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("nothing has been added")));
    log(batch, "kind", "pot-weighed", "gross", "2860 g");
    visit(keeper, page).andExpect(content().string(containsString("Driven dry")));
  }

  @Test
  void throughSpiritFromDampeningToOil() throws Exception {
    say("herbs[0].cut", "GROUND", "method", "SPIRIT", "abv", "75", "dose", "0.5");
    assertThat(reckoned())
        .contains("Dampened with spirit first")
        .contains("30 g, 34 ml")
        .contains("Has to leave")
        .contains("12–24 h")
        .contains("Without spirit")
        .contains("Spirit vapour catches fire")
        .contains("Shelf life used");

    BatchRecord batch = charged("read", "spirit-fire");
    assertThat(batch.state().status()).isEqualTo(Status.RESTING);
    assertThat(batch.state().charge().manner().spirit().massG()).isCloseTo(30, within(1e-6));
    String page = "/batches/" + batch.code();
    visit(keeper, page)
        .andExpect(content().string(containsString("until the oil may follow")))
        .andExpect(content().string(containsString("Spirit vapour catches fire")))
        .andExpect(content().string(containsString("Evenly damp")));
    visit(keeper, "/").andExpect(content().string(containsString("Stir: evenly damp?")));
    log(batch, "kind", "damp-checked", "even", "no");
    log(batch, "kind", "damp-even");
    log(batch, "kind", "oil-poured", "amount", "320 ml", "gross", "1000 g");

    BatchRecord now = as(keeper, () -> batches.find(batch.code()));
    assertThat(now.state().status()).isEqualTo(Status.INFUSING);
    assertThat(now.state().oilMl().middle()).isEqualTo(320);
    visit(keeper, page)
        .andExpect(content().string(containsString("Weighing the spirit out")))
        .andExpect(content().string(containsString("Close it, shake it, loosen it again")));
  }

  @Test
  void theOilToPourOnIsProposedInTheHousesOwnUnits() throws Exception {
    say("herbs[0].cut", "GROUND", "method", "SPIRIT", "abv", "75", "dose", "0.5");
    BatchRecord batch =
        charged("read", "spirit-fire", "chargedOn", today().minusDays(2).toString());
    assertThat(pouredOn(batch)).endsWith(" ml");

    TestCluster.shared().write(keeper.householdId(), "volumes = 'CUPS'");
    assertThat(pouredOn(batch)).endsWith(" fl oz");
  }

  private String pouredOn(BatchRecord batch) throws Exception {
    String page =
        visit(keeper, "/batches/" + batch.code()).andReturn().getResponse().getContentAsString();
    return Jsoup.parse(page).select("#poured").val();
  }

  @Test
  void aCoarseHerbIsOfferedToBeGroundForSpiritAndAWeakOneWarned() throws Exception {
    say("herbs[0].cut", "CUT", "method", "SPIRIT", "abv", "40");

    assertThat(reckoned()).contains("Grind it first").contains("below 60 % vol");
  }

  @Test
  void spiritComesFromItsLot() throws Exception {
    UUID spirit =
        as(
            keeper,
            () ->
                drawer.add(
                    new LotDetails(
                        Kind.SPIRIT,
                        "",
                        "",
                        new LotDetails.Plant(null, null, null, null),
                        Origin.BOUGHT,
                        "",
                        new LotDetails.Dates(null, null, null, null),
                        96.0,
                        null),
                    500,
                    "",
                    null,
                    UUID.randomUUID().toString()));
    say("herbs[0].cut", "GROUND", "method", "SPIRIT");

    charged("read", "spirit-fire");

    assertThat(as(keeper, () -> drawer.lot(spirit).lot().amount()))
        .isCloseTo(500 - 30 / 0.80742, within(0.01));
  }

  @Test
  void aBlendIsScaledToItsTotalByParts() throws Exception {
    say(
        "amount", "60 g",
        "herbs[0].herb", "yarrow",
        "herbs[0].parts", "3",
        "herbs[1].herb", "self-heal",
        "herbs[1].parts", "2",
        "herbs[2].herb", "violet-leaf",
        "herbs[2].parts", "1",
        "oils[0].share", "2",
        "oils[1].carrier", "jojoba",
        "oils[1].share", "1");
    assertThat(reckoned())
        .contains("30 g Yarrow, 20 g Self-heal, 10 g Violet leaf")
        .contains("Jojoba");

    BatchRecord batch = charged();

    assertThat(batch.state().charge().herbs())
        .extracting(h -> h.massG().middle())
        .containsExactly(30.0, 20.0, 10.0);
    assertThat(batch.state().charge().carriers()).hasSize(2);
    visit(keeper, "/batches/" + batch.code())
        .andExpect(content().string(containsString("Yarrow, Self-heal and Violet leaf")));
    visit(keeper, "/batches/" + batch.code() + "/tag")
        .andExpect(content().string(containsString("Achillea millefolium, ")));
  }

  @Test
  void aBlendMayBeWeighedHerbByHerb() throws Exception {
    say(
        "amount", "",
        "herbs[0].herb", "yarrow",
        "herbs[0].parts", "25 g",
        "herbs[1].herb", "self-heal",
        "herbs[1].parts", "1 oz");

    BatchRecord batch = charged();

    assertThat(batch.state().charge().herbMassG().middle()).isCloseTo(53.35, within(0.01));
  }

  @Test
  void aRowMoreAndARowLess() throws Exception {
    say("set", "herbs+");
    String more = send(keeper, "/bench", fields()).andReturn().getResponse().getContentAsString();
    assertThat(more).contains("herbs[1].herb").contains("in all:");
    say("set", "herbs-0", "herbs[1].herb", "self-heal");
    String less = send(keeper, "/bench", fields()).andReturn().getResponse().getContentAsString();
    assertThat(less).doesNotContain("herbs[1].herb").contains("value=\"self-heal\" selected");
  }

  @Test
  void theOldestLotInTheRightStateIsOfferedAndItsAgeSaid() throws Exception {
    lot("violet-leaf", Part.LEAF, HerbState.DRIED, 200, 2);
    UUID oldest = lot("violet-leaf", Part.LEAF, HerbState.DRIED, 40, 14);
    lot("violet-leaf", Part.LEAF, HerbState.FRESH, 300, 0);

    assertThat(reckoned())
        .contains("holds 40 g; 20 g more comes from elsewhere")
        .contains("past its own date")
        .contains("Violet leaf: good until");
    BatchRecord batch = charged();
    assertThat(batch.state().charge().herbs().get(0).lot()).isEqualTo(oldest);
    assertThat(as(keeper, () -> drawer.lot(oldest).lot().amount())).isZero();

    say("herbs[0].lot", "none");
    assertThat(charged().state().charge().herbs().get(0).lot()).isNull();
  }

  @Test
  void aSlurryIsGroundLeavesSomeBehindAndIsLookedAtWhenSettled() throws Exception {
    say("slurry", "yes", "ratio", "8");
    assertThat(reckoned()).contains("settled overnight").contains("480 ml");

    BatchRecord batch = charged();

    assertThat(batch.state().charge().manner().blended()).isTrue();
    assertThat(batch.state().charge().oil().oilMl().middle()).isCloseTo(480, within(1e-6));
  }

  @Test
  void solidFatsAreJudgedMeltedAndSaidWhenTheySet() throws Exception {
    say("oils[0].carrier", "coconut", "oils[0].share", "1", "oils[1].carrier", "olive");
    assertThat(reckoned())
        .contains("cannot be infused cold")
        .contains("Charged unmelted")
        .contains("Warm it");

    say("method", "WARM");
    assertThat(reckoned())
        .contains("Begins to set near 19 °C")
        .contains("Time to strain off the heat")
        .contains("sets again when it cools")
        .doesNotContain("cannot be infused cold");
  }

  @Test
  void byEyeANameAndHowFullTheJarIsAreEnough() throws Exception {
    say(
        "amount", "",
        "ratioKind", "fill",
        "jar", "jar-500",
        "herbFill", "0.5",
        "oilFill", "0.92",
        "packing", "LOOSE");
    assertThat(reckoned()).contains("weigh it to be sure").contains("by how it is packed");

    BatchRecord batch = charged();

    assertThat(batch.state().charge().herbMassG().exact()).isFalse();
    assertThat(batch.state().charge().oil().oilMl().exact()).isFalse();
  }

  @Test
  void aWeightAndAFullnessThatCannotBothBeTrueAreAskedAbout() throws Exception {
    say("amount", "300 g", "ratioKind", "fill", "jar", "jar-500", "herbFill", "0.33");
    assertThat(reckoned()).contains("cannot both be true");

    say("amount", "60 g = 8 cups", "ratioKind", "weight", "jar", "");
    assertThat(reckoned()).contains("cannot both be true");
  }

  @Test
  void severalJarsAreSeveralBatchesAllOrNone() throws Exception {
    say("amount", "1 lb 2 oz");
    send(keeper, "/bench/charge", fields("clean", "yes", "key", UUID.randomUUID().toString()))
        .andExpect(redirectedUrl("/"));

    List<BatchRecord> charged = as(keeper, () -> batches.newest(20));
    assertThat(charged.size()).isGreaterThan(1);
    assertThat(charged.stream().mapToDouble(b -> b.state().charge().herbMassG().middle()).sum())
        .isCloseTo(510.3, within(0.1));
  }

  @Test
  void itMovesToAnotherVesselAndIsReckonedInIt() throws Exception {
    BatchRecord batch = charged();
    log(batch, "kind", "transferred", "jar", "jar-2000");

    BatchRecord now = as(keeper, () -> batches.find(batch.code()));
    assertThat(now.state().vessel().key()).isEqualTo("jar-2000");
    visit(keeper, "/batches/" + batch.code())
        .andExpect(content().string(containsString("Put into the")));
  }

  @Test
  void againButWithOneThingChanged() throws Exception {
    BatchRecord batch = charged("ratio", "9", "jar", "jar-1000");
    log(batch, "kind", "note", "text", "Too weak for the spinners.");

    String again = "/bench?again=" + batch.code();
    visit(keeper, again)
        .andExpect(content().string(containsString("Another try of " + batch.code())))
        .andExpect(content().string(containsString("Too weak for the spinners.")))
        .andExpect(content().string(containsString("Nothing is changed yet")))
        .andExpect(content().string(containsString("name=\"ratio\"")));

    say("ratio", "6", "again", batch.code(), "herbs[0].cut", "GROUND", "jar", "jar-1000");
    send(keeper, "/bench", fields())
        .andExpect(content().string(containsString("cut: dried ground, was dried cut")))
        .andExpect(content().string(containsString("things changed at once")));
    BatchRecord next = charged();
    assertThat(next.state().charge().manner().again()).isEqualTo(batch.code());
    visit(keeper, "/batches/" + next.code())
        .andExpect(content().string(containsString("Another try of")))
        .andExpect(content().string(not(containsString("Nothing is changed"))));
  }

  private void happens(BatchRecord batch, BatchEvent event) {
    as(keeper, () -> acts.append(batch.code(), event, null, null, UUID.randomUUID().toString()));
  }

  @Test
  void anotherTrySaysWhatCameOfTheFirst() throws Exception {
    BatchRecord batch = charged();
    String again = "/bench?again=" + batch.code();
    happens(batch, new ToppedUp(40, "olive", "40 ml"));
    happens(batch, new Looked(false, true, null, null, null, null));
    happens(batch, new Smelled(Scent.FAINT, null));
    visit(keeper, again)
        .andExpect(content().string(containsString("Still standing, day ")))
        .andExpect(content().string(containsString("40 ml had to be topped up.")))
        .andExpect(content().string(containsString("It floated.")))
        .andExpect(content().string(containsString("It was not covered.")))
        .andExpect(content().string(containsString("Its scent was faint in the end.")));

    happens(batch, new Strained(210, "210 ml", Expression.SQUEEZE, new Range(200, 260)));
    visit(keeper, again)
        .andExpect(content().string(containsString("210 ml came out of ")))
        .andExpect(content().string(containsString("was expected.")));
  }

  @Test
  void anotherTrySaysWhyTheFirstWasThrownOut() throws Exception {
    BatchRecord batch = charged();
    happens(batch, new ThrownOut(Ending.MUSTY));

    visit(keeper, "/bench?again=" + batch.code())
        .andExpect(content().string(containsString("Thrown out: musty.")));
  }

  @Test
  void aBatchThatIsTriedAgainHasToBeThere() throws Exception {
    visit(keeper, "/bench?again=Z9Z").andExpect(status().isNotFound());
  }

  @Test
  void whatWasLoggedReadsBackInWords() throws Exception {
    BatchRecord batch = charged();
    as(
        keeper,
        () ->
            acts.append(batch.code(), new PotWeighed(1234, "1234 g"), null, null, "weighed-once"));
    visit(keeper, "/batches/" + batch.code())
        .andExpect(content().string(containsString("Weighed: 1234 g with its vessel")));
  }
}
