package velvetcrock.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.IntStream;
import org.instancio.Instancio;
import org.instancio.Select;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.colour.ColourStory.Seen;

/** An oil's colour beside the plain carrier and the last look. */
class ColourTest {
  private static final Instant DAY0 = Instant.parse("2026-03-02T08:00:00Z");
  private static final Rgb PLAIN = Rgb.of("#e8da96");

  /** Pairs of the published test data for CIEDE2000 (Sharma, Wu and Dalal 2005, table 1). */
  @ParameterizedTest
  @CsvSource({
    "50,2.6772,-79.7751,50,0,-82.7485,2.0425",
    "50,-1.3802,-84.2814,50,0,-82.7485,1.0000",
    "50,2.5,0,50,0,-2.5,4.3065",
    "50,2.5,0,61,-5,29,22.8977",
    "50,2.5,0,58,24,15,19.4535",
    "60.2574,-34.0099,36.2677,60.4626,-34.1751,39.4387,1.2644",
    "63.0109,-31.0961,-5.8663,62.8187,-29.7946,-4.0864,1.2630",
    "22.7233,20.0904,-46.694,23.0331,14.973,-42.5619,2.0373",
    "90.8027,-2.0831,1.441,91.1528,-1.6435,0.0447,1.4441",
    "2.0776,0.0795,-1.135,0.9033,-0.0636,-0.5514,0.9082"
  })
  void differencesAreTheOnesOfThePublishedPairs(
      double l1, double a1, double b1, double l2, double a2, double b2, double expected) {
    Lab one = new Lab(l1, a1, b1);
    Lab other = new Lab(l2, a2, b2);
    assertThat(one.difference(other)).isCloseTo(expected, within(0.0001));
    assertThat(other.difference(one)).isCloseTo(expected, within(0.0001));
  }

  @ParameterizedTest
  @InstancioSource(samples = 60)
  void aColourDiffersFromItselfByNothingAndFromAnotherEquallyBothWays(@Given long seed) {
    Rgb one = any(seed);
    Rgb other = any(seed + 1);
    assertThat(one.difference(one)).isCloseTo(0, within(1e-6));
    assertThat(one.difference(other)).isCloseTo(other.difference(one), within(1e-3));
    assertThat(Rgb.of(one.hex())).isEqualTo(one);
    assertThat(Rgb.mean(List.of(one, one))).isEqualTo(one);
    assertThat(one.corrected(new Rgb(255, 255, 255))).isEqualTo(one);
  }

  private static Rgb any(long seed) {
    return Instancio.of(Rgb.class)
        .generate(Select.allInts(), gen -> gen.ints().range(0, 255))
        .withSeed(seed)
        .create();
  }

  @Test
  void aWhiteCardUndoesTheLampsYellow() {
    Rgb lamp = new Rgb(250, 230, 190);
    Rgb underLamp = new Rgb(200, 150, 40);
    Rgb corrected = underLamp.corrected(lamp);
    assertThat(corrected.blue()).isGreaterThan(underLamp.blue() + 10);
    assertThat(lamp.corrected(lamp)).isEqualTo(new Rgb(255, 255, 255));
    assertThatThrownBy(() -> underLamp.corrected(new Rgb(255, 255, 50)))
        .hasMessageContaining("card");
  }

  @Test
  void halfBlackHalfWhiteIsTheMeanOfTheirLightAndNotOfTheirNumbers() {
    Rgb mean = Rgb.mean(List.of(new Rgb(0, 0, 0), new Rgb(255, 255, 255)));
    assertThat(mean.red()).isEqualTo(188);
  }

  @Test
  void whatIsNoColourIsRefused() {
    for (String typed : List.of("", "amber", "#12345", "#1234567", "#12345g")) {
      assertThatThrownBy(() -> Rgb.of(typed)).hasMessageContaining("colour");
    }
    assertThatThrownBy(() -> new Rgb(0, 256, 0)).hasMessageContaining("green");
  }

  @Test
  void itIsStillChangingUntilTwoLooksAgree() {
    ColourStory one = story("#dcc87a");
    assertThat(one.settled()).isEmpty();
    assertThat(one.looks().get(0).fromLast()).isEqualTo(one.looks().get(0).fromPlain());

    ColourStory changing = story("#dcc87a", "#c9a83c");
    assertThat(changing.settled()).contains(false);
    assertThat(changing.looks().get(1).fromLast()).isGreaterThan(ColourStory.CHANGING);

    ColourStory settled = story("#dcc87a", "#c9a83c", "#c8a83c");
    assertThat(settled.settled()).contains(true);
    assertThat(settled.last()).contains(Rgb.of("#c8a83c"));
    assertThat(story().last()).isEmpty();
  }

  private static ColourStory story(String... colours) {
    return ColourStory.of(
        PLAIN,
        IntStream.range(0, colours.length)
            .mapToObj(i -> new Seen(DAY0.plus(3L * i, ChronoUnit.DAYS), Rgb.of(colours[i])))
            .toList());
  }

  @Test
  void everySwatchOfTheFieldCanBeToldFromItsNeighbours() {
    List<List<Rgb>> rows =
        SwatchField.rows().stream()
            .map(row -> row.stream().map(SwatchField.Swatch::colour).toList())
            .toList();
    assertThat(rows).allMatch(row -> row.size() == rows.get(0).size());
    for (int i = 0; i < rows.size(); i++) {
      for (int j = 0; j < rows.get(i).size(); j++) {
        Rgb swatch = rows.get(i).get(j);
        if (j > 0) {
          assertThat(swatch.difference(rows.get(i).get(j - 1))).isBetween(1.5, 15.0);
        }
        if (i > 0) {
          assertThat(swatch.difference(rows.get(i - 1).get(j))).isBetween(4.0, 18.0);
        }
      }
    }
  }
}
