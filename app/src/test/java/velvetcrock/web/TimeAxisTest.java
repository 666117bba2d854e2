package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.outlook.Span;

/** Days along a line. */
class TimeAxisTest {
  private static final LocalDateTime FROM = LocalDateTime.of(2026, 11, 1, 0, 0);
  private static final Formats FMT =
      new Formats(Kitchen.METRIC, ZoneId.of("Europe/Oslo"), FROM.toLocalDate());

  private static TimeAxis days(int days) {
    return new TimeAxis(FROM, FROM.plusDays(days));
  }

  private static List<String> words(TimeAxis axis, LocalDateTime taken) {
    return axis.ticks(FMT, taken).stream().map(TimeAxis.Tick::words).toList();
  }

  @ParameterizedTest
  @CsvSource({"0, 0.0%", "5, 50.0%", "10, 100.0%", "-3, 0.0%", "40, 100.0%"})
  void aMomentLiesWithinTheLine(int day, String at) {
    assertThat(days(10).percent(FROM.plusDays(day))).isEqualTo(at);
  }

  @Test
  void aPieceIsNeverTooThinToSeeNorOutsideTheLine() {
    TimeAxis year = days(365);

    assertThat(year.piece(Span.of(FROM.plusDays(100), 60)).width()).isEqualTo("0.7%");
    assertThat(year.piece(Span.of(FROM.plusDays(365), 60)))
        .isEqualTo(new TimeAxis.Piece("99.3%", "0.7%"));
    assertThat(days(10).piece(new Span(FROM.plusDays(2), FROM.plusDays(7))))
        .isEqualTo(new TimeAxis.Piece("20.0%", "50.0%"));
  }

  @Test
  void strokesLieWhereTheirMomentsDoEachOnceAndNoMoreThanWanted() {
    Supplier<Stream<LocalDateTime>> looks =
        () -> Stream.of(2, 2, 7, 10).map(day -> FROM.plusDays(day));

    assertThat(days(10).strokes(looks.get(), 90)).isEqualTo("M2000 0v1M7000 0v1M10000 0v1");
    assertThat(days(10).strokes(looks.get(), 2)).isEqualTo("M2000 0v1M7000 0v1");
    assertThat(days(10).strokes(Stream.empty(), 90)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"3", "9", "20", "45", "90", "200", "365", "1500"})
  void neverMoreDaysAreNamedThanFit(int length) {
    assertThat(words(days(length), FROM)).hasSizeBetween(1, 8).doesNotHaveDuplicates();
  }

  @Test
  void shortLinesNameDaysAndLongOnesMonths() {
    assertThat(words(days(10), FROM)).contains("3 Nov").doesNotContain("December");
    assertThat(words(days(365), FROM)).contains("February").doesNotContain("3 Nov");
  }

  @Test
  void noDayIsNamedWhereAnotherWordStands() {
    LocalDateTime taken = FROM.plusDays(4);

    assertThat(words(days(10), FROM)).contains("5 Nov");
    assertThat(words(days(10), taken)).doesNotContain("5 Nov");
  }

  /** Near the end the other word reaches back from there, on a phone by a third of the line. */
  @Test
  void norWhereAWordStandsThatEndsThere() {
    assertThat(words(days(10), FROM.plusDays(10))).contains("7 Nov").doesNotContain("9 Nov");
  }

  @ParameterizedTest
  @CsvSource({"1, middle", "8, middle", "9, end", "12, end"})
  void theWordsOfADayStayWithinTheLine(int day, String anchor) {
    TimeAxis.Tick tick = days(10).tick("a day", FROM.plusDays(day));

    assertThat(tick.anchor()).isEqualTo(anchor);
    assertThat(tick.at()).isEqualTo(days(10).percent(FROM.plusDays(day)));
  }
}
