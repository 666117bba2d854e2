package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Measure.Kind;

class KitchenWordsTest {
  @ParameterizedTest
  @CsvSource({
    "a handful, VOLUME, 60, 150",
    "2 handfuls, VOLUME, 120, 300",
    "a pinch, VOLUME, 0.2, 0.5",
    "a smidge, VOLUME, 0.1, 0.25",
    "a dollop, VOLUME, 10, 30",
    "a glug, VOLUME, 15, 45",
    "3 sticks, COUNT, 3, 3",
    "5-6 cloves, COUNT, 5, 6",
    "20 mm, DEPTH, 20, 20",
    "2 inches, DEPTH, 50.8, 50.8",
    "1 1/2 in, DEPTH, 38.1, 38.1",
    "2\", DEPTH, 50.8, 50.8"
  })
  void countsDepthsAndVagueAmountsAreStatedRanges(String text, Kind kind, double low, double high) {
    Measure measure = new MeasureReader(Kitchen.US).readAny(text);

    assertThat(measure.kind()).isEqualTo(kind);
    assertThat(measure.amount().low()).isCloseTo(low, within(1e-9));
    assertThat(measure.amount().high()).isCloseTo(high, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"3 sticks", "20 mm"})
  void whereAWeightOrVolumeIsMeantACountOrADepthIsRefusedByName(String text) {
    assertThatThrownBy(() -> new MeasureReader(Kitchen.US).read(text))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(text);
  }

  @ParameterizedTest
  @CsvSource({
    "35, US, 2 tbsp + 1 tsp",
    "29.6, US, 2 tbsp",
    "14.8, US, 1 tbsp",
    "2.5, US, ½ tsp",
    "20, METRIC, 1 tbsp + 1 tsp",
    "157.7, US, ⅔ cup",
    "375, METRIC, 1½ cups",
    "250, METRIC, 1 cup"
  })
  void volumesAreSaidAsACookWould(double ml, Kitchen kitchen, String words) {
    assertThat(CookWords.of(ml, kitchen)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({"7.46, 7.5 g", "12.3, 12 g", "184.8, 185 g", "252, 250 g", "1250, 1.25 kg"})
  void weightsAreSaidAsScalesShowThem(double grams, String words) {
    assertThat(CookWords.ofGrams(grams)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({"43 C, 43", "110 F, 43.333", "43°C, 43", "'43,5 celsius', 43.5", "−4 °c, -4"})
  void temperaturesAreReadWithTheirScale(String text, double celsius) {
    assertThat(Temperatures.read(text, Units.Degrees.CELSIUS).middle())
        .isCloseTo(celsius, within(0.001));
  }

  @ParameterizedTest
  @CsvSource({
    "43, CELSIUS, 43, 43",
    "110, FAHRENHEIT, 43.333, 43.333",
    "43 C, FAHRENHEIT, 43, 43",
    "about 60, CELSIUS, 60, 60",
    "~ 60 degrees, CELSIUS, 60, 60",
    "40-45 C, FAHRENHEIT, 40, 45",
    "100 to 110, FAHRENHEIT, 37.778, 43.333",
    "gas mark 3, FAHRENHEIT, 155, 175",
    "gas 4, CELSIUS, 170, 190",
    "Gas mark ½, CELSIUS, 110, 130",
    "60 or so, CELSIUS, 60, 60",
  })
  void withoutALetterItIsTheHouseholds(String text, Units.Degrees own, double low, double high) {
    assertThat(Temperatures.read(text, own).low()).isCloseTo(low, within(0.001));
    assertThat(Temperatures.read(text, own).high()).isCloseTo(high, within(0.001));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"tepid", "gas mark 12", "50-40 C", "mark", "", "9999 C", "NaN C", "4 3 C"})
  void aTemperatureWithoutScaleOrSenseIsRefused(String text) {
    assertThatThrownBy(() -> Temperatures.read(text, Units.Degrees.CELSIUS))
        .isInstanceOf(Refused.class);
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void degreesGoThereAndBack(@Given int seed) {
    double celsius = Math.floorMod(seed, 4600) / 10.0 - 60;
    assertThat(Temperatures.celsiusOfFahrenheit(Temperatures.fahrenheitOfCelsius(celsius)))
        .isCloseTo(celsius, within(1e-9));
  }

  @ParameterizedTest
  @EnumSource(Kitchen.class)
  void whatACookWouldSayIsReadBackAsAboutTheSame(Kitchen kitchen) {
    MeasureReader reader = new MeasureReader(kitchen);
    for (double ml = 1.25; ml < 3000; ml *= 1.07) {
      double back = reader.read(CookWords.of(ml, kitchen)).amount().middle();
      assertThat(back).as("%s ml", ml).isBetween(ml * 0.84 - 0.7, ml * 1.16 + 0.7);
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void nothingButItsOwnErrorEverComesOutOfTheReader(@Given String noise, @Given int seed) {
    String[] bits = {
      "1/0", "½", "⅓⅓", "cup", "-", "–", ",", ".", "\"", "oz", "e9", "\u0000", "99999999"
    };
    String text =
        noise.substring(0, Math.min(3, noise.length()))
            + bits[Math.floorMod(seed, bits.length)]
            + " "
            + bits[Math.floorMod(seed / 13, bits.length)]
            + bits[Math.floorMod(seed / 169, bits.length)];
    try {
      Measure measure = new MeasureReader(Kitchen.METRIC).readAny(text);
      assertThat(measure.amount().low()).isPositive();
    } catch (Refused refused) {
      assertThat(refused.problems()).isNotEmpty();
    }
  }
}
