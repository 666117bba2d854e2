package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;

class MeasureReaderTest {
  private final MeasureReader us = new MeasureReader(Kitchen.US);

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          1 1/2 cups      | 354.882
          1½ c            | 354.882
          ⅔ cup           | 157.7253
          2 tbsp          | 29.5736
          8 fl oz         | 236.588
          8 fl. oz.       | 236.588
          1 pt            | 473.176
          1 qt            | 946.353
          30 drops        | 1.5
          1,5 dl          | 150
          half a cup      | 118.294
          a quarter cup   | 59.147
          two cups        | 473.176
          1 cup + 2 tbsp  | 266.1616
          .5 l            | 500
          """)
  void readsVolumesAsCooksWriteThem(String text, double ml) {
    Measure measure = us.read(text);

    assertThat(measure.isWeight()).isFalse();
    assertThat(measure.amount().middle()).isCloseTo(ml, within(0.01));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          120 g        | 120
          0.5 kg       | 500
          3 oz         | 85.0486
          1.5oz        | 42.5243
          1 lb 2 oz    | 510.291
          1 lb and 2 oz| 510.291
          60 Grams     | 60
          """)
  void readsWeightsAndTakesOuncesAloneAsWeight(String text, double grams) {
    Measure measure = us.read(text);

    assertThat(measure.isWeight()).isTrue();
    assertThat(measure.amount().middle()).isCloseTo(grams, within(0.01));
  }

  @Test
  void keepsARangeAsARange() {
    Measure measure = us.read("2–3 cups");

    assertThat(measure.amount().low()).isCloseTo(473.176, within(0.01));
    assertThat(measure.amount().high()).isCloseTo(709.764, within(0.01));
  }

  @Test
  void aCupIsTheHouseholdsCup() {
    assertThat(new MeasureReader(Kitchen.METRIC).read("1 cup").amount().middle()).isEqualTo(250);
    assertThat(new MeasureReader(Kitchen.IMPERIAL).read("1 cup").amount().middle())
        .isEqualTo(284.131);
    assertThat(new MeasureReader(Kitchen.IMPERIAL).read("1 fl oz").amount().middle())
        .isEqualTo(28.4131);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "   ",
        "cup",
        "60",
        "1/0 cup",
        "-3 g",
        "−3 g",
        "0 g",
        "3 bananas",
        "1 cup 20 g",
        "9999999999 kg",
        "3-2 cups",
        "1..5 g",
        "60 g please",
        "1e9 g"
      })
  void refusesWhatCannotBe(String text) {
    assertThatThrownBy(() -> us.read(text))
        .isInstanceOfSatisfying(
            Refused.class,
            r ->
                assertThat(r.problems())
                    .singleElement()
                    .satisfies(p -> assertThat(p.field()).isEqualTo("text")));
  }

  @Test
  void asksRatherThanGuessesWhatAThousandOrADecimalMarkMeans() {
    assertThatThrownBy(() -> us.read("1,500 ml"))
        .hasMessageContaining("1500")
        .hasMessageContaining("1.500");
    assertThat(us.read("0,500 l").amount().middle()).isEqualTo(500);
  }

  @Test
  void refusesTenKilobytesUnreadAndNamesTheLength() {
    assertThatThrownBy(() -> us.read("9".repeat(10_240))).hasMessageContaining("10240 characters");
  }

  @ParameterizedTest
  @CsvSource({
    "236.6,1 cup",
    "295,1¼ cups",
    "157,⅔ cup",
    "30,2 tbsp",
    "7.5,1½ tsp",
    "473,2 cups",
    "1,¼ tsp"
  })
  void saysAVolumeAsACookWould(double ml, String words) {
    assertThat(CookWords.of(ml, Kitchen.US)).isEqualTo(words);
  }

  @Test
  void fahrenheitIsTurnedToCelsius() {
    assertThat(Temperatures.celsiusOfFahrenheit(212)).isEqualTo(100);
  }
}
