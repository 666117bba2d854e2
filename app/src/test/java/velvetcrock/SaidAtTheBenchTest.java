package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.materia.Part;

/** Herbs and oils at the bench by whatever people measure them with. */
class SaidAtTheBenchTest extends AppTest {
  private static final String[] HERBS = {"yarrow", "calendula", "chamomile", "lavender", "rose"};

  private static String[] herbs(String... amounts) {
    List<String> fields = new ArrayList<>();
    for (int i = 0; i < amounts.length; i++) {
      String p = "herbs[" + i + "].";
      fields.addAll(
          List.of(
              p + "herb",
              HERBS[i],
              p + "state",
              "DRIED",
              p + "cut",
              "CUT",
              p + "parts",
              amounts[i],
              p + "lot",
              "none"));
    }
    return fields.toArray(String[]::new);
  }

  private static String[] with(String[] fields, String... more) {
    List<String> all = new ArrayList<>(List.of(fields));
    all.addAll(List.of(more));
    return all.toArray(String[]::new);
  }

  private String reckoned(String... fields) throws Exception {
    return send(keeper, "/bench/reckon", fields)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ");
  }

  private Charged charged(String... fields) throws Exception {
    String url =
        send(
                keeper,
                "/bench/charge",
                with(
                    fields,
                    "clean",
                    "yes",
                    "bestBefore",
                    today().plusMonths(9).toString(),
                    "key",
                    UUID.randomUUID().toString()))
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    return as(keeper, () -> batches.find(url.replaceAll(".*/", ""))).state().charge();
  }

  @Test
  void aQuarterOfACupEachOfFiveInTwoOilsByThePint() throws Exception {
    Charged charge =
        charged(
            with(
                herbs("a quarter of a cup", "1/4 cup", "¼ c", "quarter cup", "the same"),
                "amount",
                "",
                "oils[0].carrier",
                "olive",
                "oils[0].share",
                "half a pint",
                "oils[1].carrier",
                "sunflower",
                "oils[1].share",
                "a quarter of a pint"));

    assertThat(charge.herbs()).hasSize(5).allSatisfy(h -> assertThat(h.massG().exact()).isFalse());
    assertThat(charge.herbs().get(0).text()).isEqualTo("a quarter of a cup");
    assertThat(charge.oil().oilMl().middle()).isCloseTo(354.882, within(0.5));
    assertThat(charge.carriers().get(0).share() / charge.carriers().get(1).share())
        .isCloseTo(2, within(0.01));
  }

  @Test
  void eighteenGramsAndHalfAsMuch() throws Exception {
    Charged charge = charged(with(herbs("18 g", "half as much"), "amount", ""));
    assertThat(charge.herbs()).extracting(h -> h.massG().middle()).containsExactly(18.0, 9.0);
    assertThat(reckoned(with(herbs("18 g", "half as much"), "amount", "")))
        .contains("18 g Yarrow, 9 g Calendula");
  }

  @Test
  void whatStandsInAllIsTheSumOrIsSaidToBeNone() throws Exception {
    assertThat(reckoned(with(herbs("18 g", "9 g"), "amount", "27 g"))).contains("27 g");
    assertThat(reckoned(with(herbs("18 g", "9 g"), "amount", "60 g")))
        .contains("The herbs add up to about 27 g, and “60 g” stands there in all");
    assertThat(reckoned(with(herbs("2", "1"), "amount", "60 g"))).contains("40 g Yarrow, 20 g");
    assertThat(reckoned(with(herbs("2", "1"), "amount", ""))).contains("Say how much herb");
    assertThat(reckoned(with(herbs("2", "1"), "amount", "2 cups"))).contains("by weight");
    assertThat(reckoned(with(herbs("18 g", "2"), "amount", ""))).contains("half as much");
  }

  @ParameterizedTest
  @CsvSource({
    "a pint, 473",
    "500 ml, 500",
    "about half a litre, 500",
    "1 lb, 496",
    "2 to 3 cups, 625",
    "8 oz, 248",
  })
  void oilByAnAmountGivesTheRatioAndNoRatioIsAsked(String said, int ml) throws Exception {
    Charged charge =
        charged(
            "amount",
            "60 g",
            "oils[0].carrier",
            "olive",
            "oils[0].share",
            said,
            "ratio",
            "3",
            "herbs[0].lot",
            "none");
    assertThat(charge.oil().oilMl().middle()).isCloseTo(ml, within(1.5));
    assertThat(reckoned("amount", "60 g", "oils[0].carrier", "olive", "oils[0].share", said))
        .contains("by weight to volume");
  }

  @Test
  void oilThatDoesNotCoverIsSaidWithWaysOut() throws Exception {
    assertThat(reckoned("amount", "60 g", "oils[0].share", "100 ml"))
        .contains("will not cover the herb")
        .contains("Ways out");
    // a way out that asks for a ratio goes before the amount that was typed
    String page =
        send(keeper, "/bench", "amount", "60 g", "oils[0].share", "100 ml", "set", "ratio=14")
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page).contains("840 ml of oil covers it");
  }

  @Test
  void oilsByPartsAndAmountsDoNotMix() throws Exception {
    assertThat(
            reckoned(
                "amount",
                "60 g",
                "oils[0].carrier",
                "olive",
                "oils[0].share",
                "300 ml",
                "oils[1].carrier",
                "jojoba",
                "oils[1].share",
                "2"))
        .contains("is parts, and others are amounts");
    assertThat(
            reckoned(
                "amount",
                "60 g",
                "oils[0].carrier",
                "olive",
                "oils[0].share",
                "300 ml",
                "oils[1].carrier",
                "jojoba",
                "oils[1].share",
                "half as much"))
        .contains("450 ml");
    assertThat(reckoned("amount", "60 g", "oils[0].share", "3 sticks"))
        .contains("is no amount of oil");
  }

  @Test
  void byWeightAndByWeightToVolumeAreTwo() throws Exception {
    Charged toVolume =
        charged(
            "amount",
            "60 g",
            "ratioKind",
            "weight",
            "ratio",
            "1:8",
            "oils[0].carrier",
            "olive",
            "herbs[0].lot",
            "none");
    Charged byWeight =
        charged(
            "amount",
            "60 g",
            "ratioKind",
            "mass",
            "ratio",
            "one part to eight",
            "oils[0].carrier",
            "olive",
            "herbs[0].lot",
            "none");
    assertThat(toVolume.oil().oilMl().middle()).isCloseTo(480, within(0.01));
    assertThat(byWeight.oil().oilMl().middle()).isCloseTo(480 / 0.915, within(2.0));
  }

  @Test
  void whatIsMeasuredWholeAndThenGroundWeighsWhatItWeighedWhole() throws Exception {
    String[] cups = {
      "amount",
      "2 cups",
      "herbs[0].herb",
      "yarrow",
      "herbs[0].cut",
      "GROUND",
      "herbs[0].lot",
      "none"
    };
    double whole = charged(with(cups, "herbs[0].measuredAs", "WHOLE")).herbMassG().middle();
    double ground = charged(cups).herbMassG().middle();
    assertThat(whole).isLessThan(0.8 * ground);
  }

  @Test
  void anotherHerbTakesItsBestPartAndTheSameKeepsTheOneChosen() throws Exception {
    String[] leaf = {"amount", "60 g", "herbs[0].part", "LEAF", "herbs[0].lot", "none"};
    assertThat(
            charged(with(leaf, "herbs[0].herb", "yarrow", "herbs[0].partOf", "yarrow"))
                .herbs()
                .get(0)
                .part())
        .isEqualTo(Part.LEAF);
    assertThat(
            charged(with(leaf, "herbs[0].herb", "yarrow", "herbs[0].partOf", "comfrey"))
                .herbs()
                .get(0)
                .part())
        .isEqualTo(catalogue().herb("yarrow").bestPart());
  }

  @Test
  void anotherHerbTakesOverWhatWasSaidAndLeavesItAgain() throws Exception {
    String more =
        send(keeper, "/bench", "amount", "a cup", "set", "herbs+")
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(more)
        .containsPattern("name=\"herbs\\[0].parts\"\\s+value=\"a cup\"")
        .containsPattern("name=\"herbs\\[1].parts\"\\s+value=\"the same\"");
    String less =
        send(keeper, "/bench", with(herbs("a cup", "the same"), "amount", "", "set", "herbs-1"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(less).containsPattern("name=\"amount\"[^>]*value=\"a cup\"");
  }

  @Test
  void nobodyKnowsTheOilsDatesAndItIsTakenAsHalfOld() throws Exception {
    String url =
        send(
                keeper,
                "/bench/charge",
                "amount",
                "60 g",
                "oils[0].carrier",
                "olive",
                "dateUnknown",
                "yes",
                "clean",
                "yes",
                "key",
                UUID.randomUUID().toString(),
                "herbs[0].lot",
                "none")
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    Charged charge = as(keeper, () -> batches.find(url.replaceAll(".*/", ""))).state().charge();
    assertThat(charge.carriers().get(0).dateUnknown()).isTrue();
    assertThat(charge.carriers().get(0).bestBefore()).isNull();
  }

  private static velvetcrock.core.materia.Catalogue catalogue() {
    return velvetcrock.core.materia.Catalogue.shipped();
  }

  /** What lies in the jar takes up its own room; the oil fills the rest up to where it was said. */
  @ParameterizedTest
  @CsvSource({"to the neck, 0.92", "to the shoulder, 0.85"})
  void oilFillsTheJarToWhereItWasSaid(String said, double share) throws Exception {
    Charged charge =
        charged(
            with(
                herbs("60 g"),
                "amount",
                "60 g",
                "oils[0].carrier",
                "olive",
                "oils[0].share",
                said,
                "jar",
                "jar-720"));
    assertThat(charge.oil().oilMl().middle())
        .isCloseTo(share * charge.jar().brimMl() - 60 / 1.4, within(1.0));
  }

  @Test
  void oneOilIsMeasuredAndTheOtherFillsItUp() throws Exception {
    Charged charge =
        charged(
            with(
                herbs("60 g"),
                "amount",
                "60 g",
                "oils[0].carrier",
                "olive",
                "oils[0].share",
                "200 ml",
                "oils[1].carrier",
                "sunflower",
                "oils[1].share",
                "to the neck",
                "jar",
                "jar-720"));
    double all = charge.oil().oilMl().middle();
    assertThat(all).isCloseTo(0.92 * charge.jar().brimMl() - 60 / 1.4, within(1.0));
    double first = charge.carriers().get(0).share();
    assertThat(first / (first + charge.carriers().get(1).share()))
        .isCloseTo(200 / all, within(0.01));
  }

  @Test
  void aJarIsAskedForWhereItsNeckIsNamed() throws Exception {
    assertThat(
            reckoned(
                with(
                    herbs("60 g"),
                    "amount",
                    "60 g",
                    "oils[0].carrier",
                    "olive",
                    "oils[0].share",
                    "to the neck")))
        .contains("Choose the jar that is to be so full");
  }

  @Test
  void anInchAboveItCoversByAnInch() throws Exception {
    Charged charge =
        charged(
            with(
                herbs("60 g"),
                "amount",
                "60 g",
                "oils[0].carrier",
                "olive",
                "oils[0].share",
                "an inch above it",
                "jar",
                "jar-720"));
    assertThat(charge.coverMm()).isCloseTo(25.4, within(0.1));
    assertThat(charge.oil().oilMl().middle()).isGreaterThan(350);
  }

  @Test
  void spiritIsWeighedOrMeasuredOrTakenByTheHerbsWeight() throws Exception {
    for (String said : new String[] {"30 g", "37 ml", "0.5"}) {
      Charged charge =
          charged(
              with(
                  herbs("60 g"),
                  "amount",
                  "60 g",
                  "oils[0].carrier",
                  "olive",
                  "method",
                  "SPIRIT",
                  "dose",
                  said,
                  "abv",
                  "95",
                  "spiritLot",
                  "none",
                  "read",
                  "spirit-fire"));
      assertThat(charge.manner().spirit().massG()).as(said).isCloseTo(30, within(0.1));
    }
  }
}
