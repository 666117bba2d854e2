package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.measure.Units;

/** Every household reads in its own units, and what it reads it can type. */
class UnitsTest {
  private static final Instant NOW = Instant.parse("2026-11-28T14:05:00Z");
  private static final ZoneId ZONE = ZoneId.of("Europe/London");

  private static Formats of(Units units, Customs customs) {
    return new Formats(units, customs, ZONE, NOW);
  }

  private static final Formats US = of(Units.usual(Kitchen.US), Customs.usual(Locale.US));
  private static final Formats UK = of(Units.usual(Kitchen.IMPERIAL), Customs.usual(Locale.UK));
  private static final Formats METRIC = of(Units.usual(Kitchen.METRIC), Customs.FORMER);

  @ParameterizedTest
  @CsvSource({
    "2, 0.07 oz, 2 g",
    "10, 0.35 oz, 10 g",
    "60, 2.1 oz, 60 g",
    "250, 8.8 oz, 250 g",
    "453.6, 1 lb, 454 g",
    "500, 1 lb 2 oz, 500 g",
    "2500, 5 lb 8 oz, 2.5 kg"
  })
  void weights(double grams, String us, String metric) {
    assertThat(US.g(grams)).isEqualTo(us);
    assertThat(UK.g(grams)).isEqualTo(metric);
    assertThat(METRIC.g(grams)).isEqualTo(metric);
  }

  @ParameterizedTest
  @CsvSource({
    "0.2, 4 drops, 0.2 ml",
    "2.5, ½ tsp, 2.5 ml",
    "30, 2 tbsp, 30 ml",
    "300, 1¼ cups, 300 ml",
    "192, ¾ cup + 1 tbsp, 192 ml",
    "1000, 4¼ cups, 1 l",
  })
  void volumes(double ml, String us, String metric) {
    assertThat(US.ml(ml)).isEqualTo(us);
    assertThat(METRIC.ml(ml)).isEqualTo(metric);
  }

  @ParameterizedTest
  @CsvSource({
    "213, 260, 1 cup, 213–260 ml",
    "473, 710, 2–3 cups, 470–710 ml",
    "60, 150, 4–10 tbsp, 60–150 ml",
    "0.2, 0.5, 4–10 drops, 0.2–0.5 ml",
    "5, 15, 1–3 tsp, 5–15 ml",
    "1142, 1400, 4¾–6 cups, 1.14–1.4 l",
  })
  void spansOfVolumeHaveNoMoreDigitsThanTheyBear(
      double low, double high, String us, String metric) {
    assertThat(US.ml(new Range(low, high))).isEqualTo(us);
    assertThat(METRIC.ml(new Range(low, high))).isEqualTo(metric);
  }

  @Test
  void spansOfWeightAndLengths() {
    assertThat(US.g(new Range(54, 66))).isEqualTo("1.9–2.3 oz");
    assertThat(US.g(new Range(1400, 1900))).isEqualTo("3.1–4.2 lb");
    assertThat(METRIC.g(new Range(12.3, 19.8))).isEqualTo("12–20 g");
    assertThat(METRIC.aboutG(new Range(8.1, 16.3))).isEqualTo("12 g");
    assertThat(US.mm(12)).isEqualTo("½ in");
    assertThat(US.mm(25.4)).isEqualTo("1 in");
    assertThat(US.mm(new Range(25, 51))).isEqualTo("1–2 in");
    assertThat(METRIC.mm(new Range(25, 51))).isEqualTo("25–51 mm");
    assertThat(US.degrees(43)).isEqualTo("109 °F");
    assertThat(UK.degrees(43)).isEqualTo("43 °C");
    assertThat(US.gram(1240)).isEqualTo("43.74 oz");
  }

  @Test
  void datesTimesAndMoney() {
    LocalDate day = LocalDate.of(2026, 12, 5);
    assertThat(US.date(day)).isEqualTo("December 5");
    assertThat(UK.date(day)).isEqualTo("5 December");
    assertThat(US.fullDate(day)).isEqualTo("December 5, 2026");
    assertThat(UK.fullDate(day)).isEqualTo("5 December 2026");
    assertThat(US.shortDate(day.plusYears(1))).isEqualTo("Dec 5, 2027");
    assertThat(UK.shortDate(day.plusYears(1))).isEqualTo("5 Dec 2027");
    assertThat(US.dates(day, day.plusDays(3))).isEqualTo("December 5–December 8");
    assertThat(UK.dates(day, day.plusDays(3))).isEqualTo("5–8 December");
    assertThat(US.month(day)).isEqualTo("December 2026");
    assertThat(US.clock(NOW)).isEqualToIgnoringCase("2:05 pm");
    assertThat(UK.clock(NOW)).isEqualTo("14:05");
    assertThat(US.money(410)).isEqualTo("$4.10");
    assertThat(UK.money(410)).isEqualTo("£4.10");
    assertThat(METRIC.money(410)).isEqualTo("4.10");
    assertThat(METRIC.count(1, "jar", "jars")).isEqualTo("1 jar");
    assertThat(METRIC.count(0, "jar", "jars")).isEqualTo("0 jars");
    Customs iso =
        new Customs(
            Customs.Dates.YEAR_FIRST,
            DayOfWeek.MONDAY,
            Customs.Clock.HOURS_24,
            Customs.Paper.A4,
            Customs.Spelling.BRITISH,
            Customs.Contents.OWN,
            Currency.getInstance("EUR"));
    assertThat(of(Units.metric(Kitchen.METRIC), iso).fullDate(day)).isEqualTo("2026-12-05");
    assertThat(of(Units.metric(Kitchen.METRIC), iso).money(410)).isEqualTo("€4.10");
  }

  @Test
  void reckoningLinesShowBothWhereTheyDiffer() {
    Reckoning reckoning =
        Reckoning.writer().line("Oil", "as typed", 300, "ml", Standing.MEASURED) > 0
            ? line(300, "ml")
            : line(0, "");
    assertThat(US.value(reckoning.lines().get(0))).isEqualTo("1¼ cups (300 ml)");
    assertThat(METRIC.value(reckoning.lines().get(0))).isEqualTo("300 ml");
    assertThat(US.value(line(60, "g").lines().get(0))).isEqualTo("2.1 oz (60 g)");
    assertThat(US.value(line(43, "°C").lines().get(0))).isEqualTo("109 °F (43 °C)");
  }

  @Test
  void textsOfTheCoreAreToldInOwnUnits() {
    String text = "About 71 g, 60–150 ml of it, 12 mm above, at 43 °C; 0.915 g/ml, 5 glasses.";
    assertThat(METRIC.own(text)).isEqualTo(text);
    assertThat(US.own(text))
        .isEqualTo("About 2.5 oz, 4–10 tbsp of it, ½ in above, at 109 °F; 0.915 g/ml, 5 glasses.");
  }

  private static Reckoning line(double value, String unit) {
    Reckoning.Writer lines = Reckoning.writer();
    lines.line("It", "so", value, unit, Standing.MEASURED);
    return lines.done();
  }

  /** Parse and print go round: what a page prints can be typed back, and means the same. */
  @ParameterizedTest
  @InstancioSource(samples = 1000)
  void whatIsPrintedCanBeTypedBack(@Given int seed) {
    Random random = new Random(seed);
    double amount = Math.exp(Math.log(0.4) + random.nextDouble() * Math.log(12_000));
    double most = amount * (1.05 + random.nextDouble());
    Stream.of(US, UK, METRIC)
        .forEach(
            fmt -> {
              MeasureReader reader = new MeasureReader(fmt.units().kitchen());
              near(reader.read(fmt.g(amount)), Measure.Kind.WEIGHT, amount, 0.04, 0.15);
              near(reader.read(fmt.ml(amount)), Measure.Kind.VOLUME, amount, 0.13, 0.75);
              near(reader.read(fmt.gram(amount + 20)), Measure.Kind.WEIGHT, amount + 20, 0.03, 0.5);
              Range span = new Range(amount, most);
              Measure grams = reader.read(fmt.g(span));
              assertThat(grams.amount().middle()).isBetween(amount * 0.9 - 0.2, most * 1.1 + 0.2);
              Measure ml = reader.read(fmt.ml(span));
              assertThat(ml.amount().middle()).isBetween(amount * 0.75 - 1.3, most * 1.25 + 1.3);
              double mm = 1.6 + amount / 50;
              near(reader.readAny(fmt.mm(mm)), Measure.Kind.DEPTH, mm, 0.01, 1.7);
              double celsius = Math.round(amount / 50);
              assertThat(Temperatures.read(fmt.degrees(celsius), fmt.units().degrees()).middle())
                  .isBetween(celsius - 0.6, celsius + 0.6);
            });
  }

  private static void near(
      Measure read, Measure.Kind kind, double amount, double share, double rest) {
    assertThat(read.kind()).isEqualTo(kind);
    assertThat(read.amount().middle())
        .as(read.text())
        .isBetween(amount * (1 - share) - rest, amount * (1 + share) + rest);
  }
}
