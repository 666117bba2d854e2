package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.materia.Cut;

/** The bench's sentence as it is edited, and what is answered to it. */
class BenchTest extends AppTest {

  /** Answers the sentence with the given fields changed. */
  private String reckoned(String... changes) throws Exception {
    Map<String, String> sentence = new LinkedHashMap<>();
    sentence.put("amount", "60 g");
    sentence.put("herbs[0].herb", "yarrow");
    sentence.put("herbs[0].part", "FLOWER");
    sentence.put("herbs[0].cut", "CUT");
    sentence.put("oils[0].carrier", "olive");
    sentence.put("ratioKind", "weight");
    sentence.put("ratio", "");
    sentence.put("cover", "12");
    for (int i = 0; i < changes.length; i += 2) {
      sentence.put(changes[i], changes[i + 1]);
    }
    String[] fields =
        sentence.entrySet().stream()
            .flatMap(e -> java.util.stream.Stream.of(e.getKey(), e.getValue()))
            .toArray(String[]::new);
    return send(keeper, "/bench/reckon", fields)
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ");
  }

  @Test
  void withoutARatioTheLeastThatCoversIsTaken() throws Exception {
    String answer = reckoned();

    assertThat(answer)
        .contains("of oil covers it")
        .contains("the least that covers")
        .contains("How this was reckoned");
  }

  @Test
  void oneToFiveIsTakenAtItsWordAndTheWaysOutAreReckoned() throws Exception {
    String answer = reckoned("ratio", "5", "jar", "jar-1000");

    assertThat(answer)
        .contains("The oil will not cover the herb")
        .contains("Ways out")
        .contains("Powder it")
        .contains("More oil")
        .contains("Less herb")
        .contains("60 g");
  }

  @ParameterizedTest
  @CsvSource({
    "60 g, 60 g",
    "2 oz, 57 g",
    "0.05 kg, 50 g",
    "'1,5 oz', 43 g",
    "1 lb 2 oz, In each of 4 jars",
    "20–30 g, g"
  })
  void weightsAreReadAsCooksWriteThem(String typed, String read) throws Exception {
    assertThat(reckoned("amount", typed)).contains(read).contains("covers it");
  }

  @ParameterizedTest
  @CsvSource({"2 cups", "500 ml", "half a litre", "a handful", "3 handfuls"})
  void aVolumeOfHerbIsARangeByHowItIsPacked(String typed) throws Exception {
    assertThat(reckoned("amount", typed)).contains("by how it is packed");
  }

  @ParameterizedTest
  @CsvSource({
    "garlic, FRESH, 3 cloves, 9–21 g",
    "garlic, FRESH, 2 heads, 70–140 g",
    "cinnamon, DRIED, 4 sticks, 12–24 g",
    "cayenne, FRESH, a pepper, 4–14 g",
    "cayenne, DRIED, 10 peppers, 6–15 g",
    "bay, DRIED, 30 leaves, 3–9 g",
  })
  void piecesAreCountedByWhatTheyAreCalledAndTheirState(
      String herb, String state, String typed, String read) throws Exception {
    assertThat(reckoned("herbs[0].herb", herb, "herbs[0].state", state, "amount", typed))
        .contains(read);
  }

  @ParameterizedTest
  @CsvSource({
    "garlic, FRESH, 3 sprigs, Understood: clove (fresh)",
    "rosemary, FRESH, 3 cloves, Understood: sprig",
    "vanilla, FRESH, 2 pods, Understood: pod (dried)",
  })
  void aNounThatIsNotOfTheHerbIsRefusedWithWhatIs(
      String herb, String state, String typed, String said) throws Exception {
    assertThat(reckoned("herbs[0].herb", herb, "herbs[0].state", state, "amount", typed))
        .contains(said);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          amount | 3 sticks | Nobody counts yarrow
          amount | 20 mm    | is no amount
          amount | 60       | wants a unit
          amount | -60 g    | below zero
          amount | 1,500 g  | can be read as
          amount | 1/0 cup  | divides by zero
          cover  | deep     | is no length
          cover  | 900      | cover
          ratio  | much     | as a ratio
          ratio  | -2       | as a ratio
          """)
  void whatCannotBeReadIsSaidAtOnceAndNothingElseBreaks(String field, String typed, String said)
      throws Exception {
    assertThat(reckoned(field, typed).toLowerCase(java.util.Locale.ROOT))
        .contains(said.toLowerCase(java.util.Locale.ROOT));
  }

  @ParameterizedTest
  @EnumSource(Cut.class)
  void everyCutIsAnswered(Cut cut) throws Exception {
    assertThat(reckoned("herbs[0].cut", cut.name()))
        .contains("of oil covers it")
        .contains("Comes out");
  }

  @Test
  void aFinerCutAsksForLessOil() throws Exception {
    assertThat(oil(reckoned("herbs[0].cut", "POWDER")))
        .isLessThan(oil(reckoned("herbs[0].cut", "GROUND")));
    assertThat(oil(reckoned("herbs[0].cut", "GROUND")))
        .isLessThan(oil(reckoned("herbs[0].cut", "WHOLE")));
  }

  private static double oil(String answer) {
    var matcher =
        java.util.regex.Pattern.compile("([\\d.]+) (ml|l) of oil covers it").matcher(answer);
    assertThat(matcher.find()).as(answer).isTrue();
    double number = Double.parseDouble(matcher.group(1));
    return matcher.group(2).equals("l") ? number * 1000 : number;
  }

  @Test
  void aChosenJarIsKeptThoughItDoesNotHoldIt() throws Exception {
    assertThat(reckoned("jar", "jar-250")).contains("does not fit under the fill line");
  }

  @Test
  void aJarIsFilledByEye() throws Exception {
    String answer =
        reckoned("ratioKind", "fill", "jar", "jar-500", "herbFill", "0.5", "amount", "");

    assertThat(answer).contains("g").doesNotContain("cannot be read");
  }

  @Test
  void aHerbForEatingBringsItsOwnCautions() throws Exception {
    assertThat(reckoned("use", "KITCHEN"))
        .contains("not one for eating")
        .contains("kept in the fridge");
    assertThat(reckoned("herbs[0].herb", "rosemary", "herbs[0].part", "LEAF", "use", "KITCHEN"))
        .doesNotContain("This herb is not one for eating");
  }

  /** Fresh herb for eating stands in the fridge for a few days; no heat is offered for it. */
  @ParameterizedTest
  @ValueSource(strings = {"", "WARM", "CROCK", "SIMMER", "OVEN", "TWO_STAGE"})
  void freshHerbForEatingIsOfferedTheFridgeAndNoHeat(String method) throws Exception {
    String[] fresh = {
      "herbs[0].herb",
      "lemon-balm",
      "herbs[0].part",
      "LEAF",
      "herbs[0].state",
      "FRESH",
      "use",
      "KITCHEN",
      "method",
      method
    };

    assertThat(reckoned(fresh))
        .contains("In the fridge")
        .contains("Clostridium botulinum")
        .contains(
            method.isEmpty() || method.equals("TWO_STAGE") ? "warmer than 4" : "is not warmed")
        .doesNotContain("Heat it gently")
        .doesNotContain("gentle heat")
        .doesNotContain("with heat")
        .doesNotContain("weigh the pot down");
  }

  @Test
  void freshHerbForEatingInTheFridgeIsStrainedWithinThreeDays() throws Exception {
    String fridge = as(keeper, () -> places.one("Fridge").id().toString());

    assertThat(
            reckoned(
                "herbs[0].herb",
                "lemon-balm",
                "herbs[0].part",
                "LEAF",
                "herbs[0].state",
                "FRESH",
                "use",
                "KITCHEN",
                "place",
                fridge))
        .contains("usually " + day(today().plusDays(2)))
        .contains(day(today().plusDays(3)))
        .doesNotContain("must not stand warmer");
  }

  private static String day(LocalDate day) {
    return day.format(DateTimeFormatter.ofPattern("d MMMM", Locale.UK));
  }

  @Test
  void aSolidFatIsStoppedAtRoomTemperature() throws Exception {
    assertThat(reckoned("oils[0].carrier", "coconut")).contains("cannot be infused cold");
  }

  @Test
  void aWayOutIsTakenWithOneButton() throws Exception {
    send(
            keeper,
            "/bench/reckon",
            "amount",
            "60 g",
            "herbs[0].herb",
            "yarrow",
            "herbs[0].cut",
            "CUT",
            "oils[0].carrier",
            "olive",
            "ratio",
            "5",
            "set",
            "ratio=")
        .andExpect(status().isOk());
    assertThat(reckoned("ratio", "5", "set", "ratio=")).contains("the least that covers");
    assertThat(reckoned("ratio", "5", "set", "cut=POWDER")).contains("covers it");
  }

  @Test
  void aHerbOfWhichNobodyKnowsIsSaid() throws Exception {
    assertThat(reckoned("herbs[0].herb", "moonwort")).contains("no herb of the catalogue");
  }
}
