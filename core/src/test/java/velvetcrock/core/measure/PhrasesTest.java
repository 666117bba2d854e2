package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Measure.Kind;

/** What people say, and what they mean by it. */
class PhrasesTest {
  /** Sizes in g, ml, mm and pieces, written down apart from the reader's own. */
  private static final Map<String, double[]> SIZES =
      Map.ofEntries(
          Map.entry("cup", new double[] {236.588, 250, 284.131}),
          Map.entry("ml", new double[] {1, 1, 1}),
          Map.entry("tsp", new double[] {4.92892, 5, 5}),
          Map.entry("tbsp", new double[] {14.7868, 15, 15}),
          Map.entry("fl oz", new double[] {29.5735, 29.5735, 28.4131}),
          Map.entry("pint", new double[] {473.176, 473.176, 568.261}),
          Map.entry("quart", new double[] {946.353, 946.353, 1136.52}),
          Map.entry("gallon", new double[] {3785.41, 3785.41, 4546.09}),
          Map.entry("oz", new double[] {28.3495, 28.3495, 28.3495}),
          Map.entry("lb", new double[] {453.592, 453.592, 453.592}),
          Map.entry("g", new double[] {1, 1, 1}),
          Map.entry("mm", new double[] {1, 1, 1}),
          Map.entry("piece", new double[] {1, 1, 1}),
          Map.entry("part", new double[] {1, 1, 1}));

  private static final Map<String, Kind> KINDS =
      Map.of(
          "oz", Kind.WEIGHT,
          "lb", Kind.WEIGHT,
          "g", Kind.WEIGHT,
          "mm", Kind.DEPTH,
          "piece", Kind.COUNT,
          "part", Kind.PARTS);

  private static List<String> lines() throws IOException {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(
                PhrasesTest.class.getResourceAsStream("phrases.tsv"), StandardCharsets.UTF_8))) {
      return in.lines().filter(l -> !l.startsWith("#")).skip(1).toList();
    }
  }

  static Stream<Arguments> phrases() throws IOException {
    return lines().stream().map(l -> Arguments.of((Object[]) l.split("\t")));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("phrases")
  void isUnderstood(String said, double low, double high, String unit, Kitchen kitchen) {
    Measure measure = new MeasureReader(kitchen).readAny(said);

    double size = SIZES.get(unit)[kitchen.ordinal()];
    assertThat(measure.kind()).isEqualTo(KINDS.getOrDefault(unit, Kind.VOLUME));
    assertThat(measure.amount().low()).isCloseTo(low * size, within(1e-4 * low * size));
    assertThat(measure.amount().high()).isCloseTo(high * size, within(1e-4 * high * size));
    assertThat(measure.text()).isEqualTo(said.strip());
  }

  @Test
  void thereAreFiveHundredAtLeast() throws IOException {
    assertThat(lines().stream().distinct()).hasSizeGreaterThan(500);
  }

  @ParameterizedTest
  @CsvSource({
    "a heaped tablespoon, 1.25, 1.6, 14.7868",
    "2 heaped tsp, 2.5, 3.2, 4.92892",
    "1 rounded teaspoon, 1.25, 1.6, 4.92892",
    "a heaped cup, 1, 1.25, 236.588",
    "1 cup packed, 1.3, 2, 236.588",
    "half a firmly packed cup, 0.65, 1, 236.588",
    "1 cup loosely packed, 1, 1, 236.588",
    "a level tablespoon, 1, 1, 14.7868",
  })
  void whatLiesLooseIsHeapedAndPackedHigher(String said, double low, double high, double unit) {
    Measure measure = new MeasureReader(Kitchen.US).read(said);
    assertThat(measure.loose().low()).isCloseTo(low * unit, within(1e-6));
    assertThat(measure.loose().high()).isCloseTo(high * unit, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({
    "3 tblps, “3 tblsp” meant",
    "2 cusp of oil, “2 cups of oil” meant",
    "2 cupps, “2 cups” meant",
    "4 onces, “4 ounces” meant",
    "half a pnit, “half a pint” meant",
    "2 cups bananas, “2 cups” is understood",
    "2 cups bananas, “bananas” is not",
    "60 g please, “60 g” is understood",
    "60, wants a unit",
    "about 60, wants a unit",
    "3 bananas, “3” is understood",
    "warm, cannot be read",
    "1 cup 20 g, mixes weight and volume",
    "2 heads and 3 cloves, two kinds of things",
    "3-2 cups, high to low",
    "3 cups to 2 cups, high to low",
    "1/0 cup, divides by zero",
    "0 g, nothing at all",
    "1 cup minus 1 cup, nothing at all",
    "2000 kg, more than a tonne",
    "1 cup (300 ml), two amounts",
    "60 g (1 kg), two amounts",
    "1 cup (, wants something more",
  })
  void whatIsNotUnderstoodIsSaidUpToWhereAndWhatMayBeMeant(String said, String told) {
    assertThatThrownBy(() -> new MeasureReader(Kitchen.US).readAny(said))
        .isInstanceOf(Refused.class)
        .satisfies(
            refused ->
                assertThat(Stream.of(told.split("\\|")))
                    .anySatisfy(one -> assertThat(refused.getMessage()).contains(one)));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "1 cup and 60 g",
        "half",
        "a",
        "and a half cups",
        "cup cup",
        "2 2 cups",
        "1e9 g",
        "1..5 g",
        "- 3 g",
        "to 3 cups",
        "2 to cups",
        "between 2 cups",
        "(1 cup)",
        "of oil",
        "×",
        "2 ×",
        "40 g of",
        "~",
        "about",
        "or so",
        "packed",
        "1/2/3 cup",
        "½½ cup",
        "3 hundred thousand cups"
      })
  void whatMakesNoSenseIsRefused(String said) {
    assertThatThrownBy(() -> new MeasureReader(Kitchen.US).readAny(said))
        .isInstanceOf(Refused.class);
  }

  @Test
  void aBareFigureTakesTheUnitThatItsFieldShows() {
    MeasureReader grams = new MeasureReader(Kitchen.US).bare("g");
    assertThat(grams.read("60").amount().middle()).isEqualTo(60);
    assertThat(grams.read("about 60").amount().low()).isEqualTo(54);
    assertThat(grams.read("60 to 80").amount().high()).isEqualTo(80);
    assertThat(grams.read("2 oz").amount().middle()).isCloseTo(56.7, within(0.01));
    assertThat(new MeasureReader(Kitchen.IMPERIAL).bare("fl oz").read("2").amount().middle())
        .isCloseTo(56.8262, within(1e-4));
    assertThat(new MeasureReader(Kitchen.US).bare("in").readAny("half").amount().middle())
        .isCloseTo(12.7, within(1e-9));
  }

  @Test
  void whatItIsAnAmountOfIsKept() {
    assertThat(new MeasureReader(Kitchen.US).read("a handful of dried yarrow").of())
        .isEqualTo("dried yarrow");
    assertThat(new MeasureReader(Kitchen.US).readAny("3 cloves of garlic").noun())
        .isEqualTo("clove");
    assertThat(new MeasureReader(Kitchen.US).read("60 g (2 cups)").check().kind())
        .isEqualTo(Kind.VOLUME);
  }

  /** Nothing but its own refusal ever comes out of it, whatever goes in; 100,000 times. */
  @Test
  void itNeverThrowsAnythingElse() throws IOException {
    String[] bits =
        Stream.concat(
                lines().stream().flatMap(l -> Stream.of(l.split("\t")[0].split(" "))),
                Stream.of(
                    "/",
                    "-",
                    "(",
                    ")",
                    "=",
                    "½",
                    "×",
                    ",",
                    ".",
                    "\"",
                    "'",
                    "\u0000",
                    "٣",
                    "é",
                    "1e9",
                    "99999999",
                    "0",
                    "00",
                    "of",
                    "and",
                    "\u00a0",
                    "😀",
                    "T",
                    "t",
                    "to"))
            .distinct()
            .toArray(String[]::new);
    Random random = new Random(20261128);
    MeasureReader reader = new MeasureReader(Kitchen.US);
    int understood = 0;
    for (int i = 0; i < 100_000; i++) {
      StringBuilder said = new StringBuilder();
      int pieces = 1 + random.nextInt(6);
      for (int p = 0; p < pieces; p++) {
        said.append(
            random.nextInt(8) == 0
                ? String.valueOf((char) random.nextInt(0x3000))
                : bits[random.nextInt(bits.length)]);
        said.append(random.nextBoolean() ? " " : "");
      }
      try {
        Measure measure = reader.readAny(said.toString());
        understood++;
        assertThat(measure.amount().low()).as(said.toString()).isPositive();
        assertThat(measure.loose().low()).as(said.toString()).isPositive();
      } catch (Refused refused) {
        assertThat(refused.problems()).hasSize(1);
      }
    }
    assertThat(understood).isGreaterThan(1000);
  }
}
