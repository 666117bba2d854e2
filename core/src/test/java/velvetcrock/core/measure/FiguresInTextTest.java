package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Range;
import velvetcrock.core.measure.FiguresInText.Figure;

class FiguresInTextTest {
  private final FiguresInText us = new FiguresInText(Kitchen.US);

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "pour 300 ml of oil | 300 ml | VOLUME | 300 | 300 | true",
        "1.2 l of it | 1.2 l | VOLUME | 1200 | 1200 | true",
        "a bed of 40–52 mm. | 40–52 mm | LENGTH | 40 | 52 | true",
        "13.5 cm high | 13.5 cm | LENGTH | 135 | 135 | true",
        "kept at −18 °C | −18 °C | TEMPERATURE | -18 | -18 | true",
        "at 104–122 °F, not above | 104–122 °F | TEMPERATURE | 40 | 50 | false",
        "weighs 1 lb 2 oz now | 1 lb 2 oz | WEIGHT | 510.3 | 510.3 | false",
        "0.25–0.3 oz of wax | 0.25–0.3 oz | WEIGHT | 7.09 | 8.5 | false",
        "of ¾ cup + 1 tbsp, | ¾ cup + 1 tbsp | VOLUME | 192.2 | 192.2 | false",
        "1⅓ cups | 1⅓ cups | VOLUME | 315.5 | 315.5 | false",
        "3 tbsp + ½ tsp | 3 tbsp + ½ tsp | VOLUME | 46.8 | 46.8 | false",
        "2–2¼ cups of oil | 2–2¼ cups | VOLUME | 473.2 | 532.3 | false",
        "from 30 to 100 °C | 30 to 100 °C | TEMPERATURE | 30 | 100 | true",
        "between 30 and 1000 mm | 30 and 1000 mm | LENGTH | 30 | 1000 | true",
        "to within 8 °C; | 8 °C | WARMER | 8 | 8 | true",
        "from knob and hand, ± 8 °C | 8 °C | WARMER | 8 | 8 | true",
        "9 °F over before | 9 °F | WARMER | 5 | 5 | false",
        "half-full, ½ in above the herb | ½ in | LENGTH | 12.7 | 12.7 | false",
        "the jar is 3⅛ in wide | 3⅛ in | LENGTH | 79.4 | 79.4 | false",
      })
  void aFigureIsFoundWithWhatItMeans(
      String text, String said, Quantity quantity, double low, double high, boolean metric) {
    assertThat(us.in(text))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(text.substring(f.from(), f.to())).isEqualTo(said);
              assertThat(f.quantity()).isEqualTo(quantity);
              assertThat(f.amount().low()).isCloseTo(low, within(0.1));
              assertThat(f.amount().high()).isCloseTo(high, within(0.1));
              assertThat(f.metric()).isEqualTo(metric);
            });
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "0.913 g/ml; keeps 18 months",
        "typed “300 ml” there",
        "14 in all, 3 in a row",
        "1 : 5",
        "by 5 batches",
        "after 12 h",
        "T4C-A",
        "2026-12-05",
        "about 5 drops",
        "12 grapes",
        "5 largest",
        "",
      })
  void whatIsNoFigureOrWasTypedIsLeft(String text) {
    assertThat(us.in(text)).isEmpty();
  }

  @Test
  void severalAreFoundInTheirOrder() {
    assertThat(us.in("60 g in 300 ml at 38–50 °C").stream().map(Figure::quantity))
        .containsExactly(Quantity.WEIGHT, Quantity.VOLUME, Quantity.TEMPERATURE);
  }

  /** What the house writes of an amount is found again whole, and means the same. */
  @ParameterizedTest
  @EnumSource(Kitchen.class)
  void whatIsWrittenIsFoundWhole(Kitchen kitchen) {
    FiguresInText finder = new FiguresInText(kitchen);
    Random random = new Random(7);
    for (int i = 0; i < 3000; i++) {
      double amount = Math.exp(random.nextDouble() * Math.log(4000));
      Range span = Range.between(amount, amount * (1 + random.nextDouble()));
      List<String> written =
          Stream.of(
                  CookWords.of(amount + 1.3, kitchen),
                  CookWords.of(span, kitchen),
                  CustomaryWords.ofGrams(amount),
                  CustomaryWords.ofGrams(span),
                  CustomaryWords.closely(amount),
                  CustomaryWords.ofMm(amount),
                  CustomaryWords.ofMm(span))
              .filter(words -> !words.endsWith("drop") && !words.endsWith("drops"))
              .toList();
      for (String words : written) {
        assertThat(finder.in(words + "."))
            .as(words)
            .singleElement()
            .satisfies(f -> assertThat(words.substring(f.from(), f.to())).isEqualTo(words))
            .satisfies(
                f ->
                    assertThat(f.amount().middle())
                        .as(words)
                        .isBetween(0.5 * amount - 1.3, 2.2 * amount + 1.3));
      }
    }
  }

  @Test
  void anyTextIsRead() {
    Random random = new Random(11);
    String signs = "0123456789 .–-½¼/“”°CFgmlozbtspincupT\n";
    for (int i = 0; i < 20000; i++) {
      StringBuilder text = new StringBuilder();
      for (int k = random.nextInt(40); k > 0; k--) {
        text.append(signs.charAt(random.nextInt(signs.length())));
      }
      assertThat(us.in(text.toString())).doesNotContainNull();
    }
  }
}
