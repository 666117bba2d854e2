package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.measure.Kitchen;

class FormatsTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
  private final Formats metric = new Formats(Kitchen.METRIC, ZoneId.of("Europe/Oslo"), TODAY);
  private final Formats us = new Formats(Kitchen.US, ZoneId.of("Europe/Oslo"), TODAY);

  @Test
  void noMoreDigitsThanAnybodyCanPour() {
    assertThat(metric.ml(299.6)).isEqualTo("300 ml");
    assertThat(metric.ml(4.72)).isEqualTo("4.7 ml");
    assertThat(metric.ml(2345)).isEqualTo("2.35 l");
    assertThat(metric.g(18.25)).isEqualTo("18.3 g");
    assertThat(metric.ml(new Range(210.2, 259.9))).isEqualTo("210–260 ml");
    assertThat(metric.ml(new Range(210.2, 210.3))).isEqualTo("210 ml");
    assertThat(metric.ratio(11.791)).isEqualTo("1 : 11.8");
  }

  @Test
  void aUsKitchenReadsCupsBesideMillilitres() {
    assertThat(us.volume(295)).isEqualTo("295 ml (1¼ cups)");
    assertThat(metric.volume(295)).isEqualTo("295 ml");
  }

  @ParameterizedTest
  @CsvSource({
    "0,today",
    "1,tomorrow",
    "-1,yesterday",
    "3,Friday",
    "40,3 January 2027",
    "-10,14 November"
  })
  void datesAreSaidAsSeenFromToday(int days, String words) {
    assertThat(metric.nearDate(TODAY.plusDays(days))).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({"1,1 day", "9,9 days", "14,2 weeks", "19,2 weeks 5 days", "365,12 months"})
  void spansAreSaidInWhatIsClearest(int days, String words) {
    assertThat(metric.days(days)).isEqualTo(words);
  }

  @Test
  void aRangeOfDatesSaysItsMonthOnce() {
    assertThat(metric.dates(LocalDate.of(2026, 12, 3), LocalDate.of(2026, 12, 20)))
        .isEqualTo("3–20 December");
    assertThat(metric.dates(LocalDate.of(2026, 12, 3), LocalDate.of(2027, 1, 20)))
        .isEqualTo("3 December–20 January 2027");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          It was good until 2026-08-03 only. | It was good until 3 August 2026 only.
          “2026-02-01” lies before it.       | “2026-02-01” lies before it.
          2026-02-30 is no day.              | 2026-02-30 is no day.
          See kitchen-2026-08-03.zip.        | See kitchen-2026-08-03.zip.
          """)
  void whatIsRefusedNamesDatesAsTheHouseWritesThem(String said, String read) {
    assertThat(metric.dated(said)).isEqualTo(read);
  }

  @Test
  void midnightIsTheHouseholds() {
    assertThat(metric.date(java.time.Instant.parse("2026-11-23T23:30:00Z"))).isEqualTo(TODAY);
  }

  @Test
  void aJarIsDrawnTrueToScaleAndTheSameEveryTime() {
    JarDrawing.Filled jar =
        new JarDrawing.Filled(
            "k7m",
            60,
            75,
            105,
            80,
            Jar.Shape.JAR,
            false,
            true,
            false,
            "#ddbb4c",
            "#7d8250",
            "A jar");
    JarDrawing drawing = JarDrawing.of(jar, 2);

    assertThat(drawing).isEqualTo(JarDrawing.of(jar, 2));
    assertThat(drawing.sheet().viewBox()).isEqualTo("0 0 90.4 124.2");
    assertThat(drawing.surface()).isEqualTo("M5.2 44h80");
    assertThat(drawing.sheet().widthPx()).isEqualTo(181);
    assertThat(JarDrawing.mix("#000000", "#ffffff", 0.5)).isEqualTo("#808080");
  }

  @ParameterizedTest
  @CsvSource({
    "0.001, 1 min",
    "0.5, 30 min",
    "1, 1 h",
    "4.3, 4.3 h",
    "12.1, 12 h",
    "24, 24 h",
    "47.6, 48 h",
    "60, 3 days",
    "504, 3 weeks"
  })
  void hoursAreSaidInTheUnitThatPeopleWouldSay(double hours, String words) {
    assertThat(metric.hours(hours)).isEqualTo(words);
  }

  @Test
  void aRangeOfHoursHasOneUnit() {
    assertThat(metric.hours(new Range(4, 12))).isEqualTo("4–12 h");
    assertThat(metric.hours(new Range(8, 72))).isEqualTo("8 h to 3 days");
    assertThat(metric.hours(new Range(75, 340))).isEqualTo("3–14 days");
    assertThat(metric.hours(new Range(11.9, 12.1))).isEqualTo("12 h");
  }

  @Test
  void whatIsWeighedWithItsVesselIsSaidToTheGram() {
    assertThat(metric.gram(3078.4)).isEqualTo("3078 g");
    assertThat(metric.g(3078.4)).isEqualTo("3.08 kg");
  }

  @Test
  void temperaturesAreInTheHouseholdsDegrees() {
    assertThat(metric.degrees(43)).isEqualTo("43 °C");
    assertThat(us.degrees(43)).isEqualTo("109 °F");
    assertThat(metric.degrees(38, 50)).isEqualTo("38–50 °C");
    assertThat(us.degrees(38, 50)).isEqualTo("100–122 °F");
    assertThat(metric.degrees(-4)).isEqualTo("−4 °C");
  }

  @ParameterizedTest
  @CsvSource({
    "0,0 min",
    "0.75,45 min",
    "1,1 h",
    "3.3333,3 h 20 min",
    "24,24 h",
    "47.99,47 h 59 min",
    "72,3 days",
    "504,3 weeks",
    "-1,0 min"
  })
  void timesOnTheHeatAreSaidInHoursAndMinutes(double hours, String words) {
    assertThat(metric.time(hours)).isEqualTo(words);
  }

  @Test
  void theDayIsTheHouseholdsAtTheMoment() {
    java.time.Instant lateInUtc = java.time.Instant.parse("2026-11-24T23:30:00Z");
    assertThat(new Formats(Kitchen.METRIC, ZoneId.of("Europe/Oslo"), lateInUtc).today())
        .isEqualTo(TODAY.plusDays(1));
    assertThat(metric.now()).isEqualTo("2026-11-23T23:00:00Z");
  }
}
