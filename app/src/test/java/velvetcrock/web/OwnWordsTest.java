package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;

class OwnWordsTest {
  private static final Instant NOW = Instant.parse("2026-11-28T09:00:00Z");
  private static final OwnWords US = of(Units.usual(Kitchen.US), Customs.usual(Locale.US));
  private static final OwnWords UK = of(Units.usual(Kitchen.IMPERIAL), Customs.usual(Locale.UK));

  private static OwnWords of(Units units, Customs customs) {
    return new OwnWords(new Formats(units, customs, ZoneOffset.UTC, NOW));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Pour 300 ml over 60 g. | Pour 1¼ cups over 2.1 oz.",
        "Keep it at 38–50 °C. | Keep it at 100–122 °F.",
        "from 30 to 100 °C | from 86 to 212 °F",
        "between 5 and 500 mm | between ¼ and 19⅝ in",
        "to within 8 °C | to within 14 °F",
        "12 mm of oil above it | ½ in of oil above it",
        "0.91 g/ml | 0.91 g/ml",
        "“300 ml” was read | “300 ml” was read",
        "¾ cup (180 ml) | ¾ cup (180 ml)",
        "A dark colour, no mould. | A dark color, no mold.",
        "Colour: grey | Color: gray",
        "“grey mould” | “grey mould”",
        "1.2 l of it | 5 cups of it",
      })
  void aTextOfTheCoreIsReadInOwnUnitsAndSpelling(String said, String own) {
    assertThat(US.text(said)).isEqualTo(own);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "60 g | 60 g | 2.1 oz",
        "50 °C | 50 °C | 122 °F",
        "12 mm | 12 mm | ½ in",
      })
  void aFigureCarriesItsOtherUnit(String said, String own, String other) {
    assertThat(UK.marked("take " + said + " of it"))
        .isEqualTo("take <span class=\"fig\" title=\"%s\">%s</span> of it".formatted(other, own));
  }

  @Test
  void whatWasPutIntoOwnUnitsKeepsWhatItWas() {
    assertThat(US.marked("take 60 g")).endsWith("<span class=\"fig\" title=\"60 g\">2.1 oz</span>");
    assertThat(US.marked("take 2.1 oz"))
        .endsWith("<span class=\"fig\" title=\"60 g\">2.1 oz</span>");
    assertThat(US.withOther("Jar 720 ml")).isEqualTo("Jar 3 cups (720 ml)");
  }

  @Test
  void whatStandsInBothIsLeftAsItIs() {
    assertThat(US.marked("¾ cup (180 ml), once")).isEqualTo("¾ cup (180 ml), once");
  }

  @Test
  void britishTextsStayAsTheyAre() {
    assertThat(UK.text("A dark colour at 50 °C, 60 g of it."))
        .isEqualTo("A dark colour at 50 °C, 60 g of it.");
  }

  @Test
  void labelsTellContentsInBothWhereTheHouseholdSaysSo() {
    Formats us =
        new Formats(Units.usual(Kitchen.US), Customs.usual(Locale.US), ZoneOffset.UTC, NOW);
    Formats uk =
        new Formats(Units.usual(Kitchen.IMPERIAL), Customs.usual(Locale.UK), ZoneOffset.UTC, NOW);
    assertThat(us.contents(118.3)).isEqualTo("4 fl oz (118 ml)");
    assertThat(uk.contents(118.3)).isEqualTo("118 ml");
  }

  /** Each choice by itself: ounces and cups, yet °C and Britain’s spelling. */
  @Test
  void eachThingIsChosenByItself() {
    Units mixed =
        new Units(
            Units.Weights.OUNCES,
            Units.Volumes.MILLILITRES,
            Kitchen.METRIC,
            Units.Degrees.CELSIUS,
            Units.Lengths.INCHES);
    Customs customs =
        new Customs(
            Customs.Dates.YEAR_FIRST,
            DayOfWeek.SUNDAY,
            Customs.Clock.HOURS_12,
            Customs.Paper.LETTER,
            Customs.Spelling.BRITISH,
            Customs.Contents.OWN,
            null);
    assertThat(of(mixed, customs).text("60 g in 300 ml at 40 °C, 12 mm deep, colour"))
        .isEqualTo("2.1 oz in 300 ml at 40 °C, ½ in deep, colour");
  }
}
