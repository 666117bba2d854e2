package velvetcrock.stove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.stove.LoggerFile.Choices;
import velvetcrock.stove.LoggerFile.Question;
import velvetcrock.stove.LoggerFile.Scale;

/** What loggers write, and what is said of it. */
class LoggerFileTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final Choices CELSIUS = new Choices(Scale.CELSIUS, false, OSLO, null);

  private final List<Reading> good = new ArrayList<>();
  private final List<String> bad = new ArrayList<>();

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2026-11-25T14:03:22Z|2026-11-25T14:03:22Z",
        "2026-11-25T14:03:22|2026-11-25T13:03:22Z",
        "2026-11-25 14:03:22|2026-11-25T13:03:22Z",
        "2026-11-25 14:03|2026-11-25T13:03:00Z",
        "2026-11-25T14:03:22+02:00|2026-11-25T12:03:22Z",
        "2026-11-25T14:03:22.250Z|2026-11-25T14:03:22.250Z",
        "25.11.2026 14:03:22|2026-11-25T13:03:22Z",
        "25/11/2026 2:03 pm|2026-11-25T13:03:00Z",
        "25-11-26 14:03 UTC|2026-11-25T14:03:00Z",
        "1764079402|2025-11-25T14:03:22Z",
        "1764079402000|2025-11-25T14:03:22Z",
        "2026-07-01 12:00:00|2026-07-01T10:00:00Z",
        "2026-11-25 12:03 am|2026-11-24T23:03:00Z"
      })
  void timesAreReadAsLoggersWriteThem(String written, String instant) {
    TimeReader reader =
        new TimeReader(new LocalClock(OSLO, LocalClock.Changes.ASK), TimeReader.Order.DAY_FIRST);
    assertThat(reader.read(written)).isEqualTo(Instant.parse(instant));
  }

  @ParameterizedTest
  @ValueSource(strings = {"noon", "2026-13-01 10:00:00", "2026-11-25 25:00:00", "2026-11-25", "43"})
  void whatIsNoTimeIsRefused(String written) {
    TimeReader reader =
        new TimeReader(new LocalClock(OSLO, LocalClock.Changes.ASK), TimeReader.Order.DAY_FIRST);
    assertThatThrownBy(() -> reader.read(written)).isInstanceOf(DateTimeException.class);
  }

  @Test
  void withoutAZoneALocalTimeIsRefusedAndMonthsMayComeFirst() {
    TimeReader none = new TimeReader(null, TimeReader.Order.MONTH_FIRST);
    assertThatThrownBy(() -> none.read("2026-11-25 14:03:22"))
        .isInstanceOf(DateTimeException.class);
    TimeReader american =
        new TimeReader(
            new LocalClock(ZoneId.of("UTC"), LocalClock.Changes.ASK), TimeReader.Order.MONTH_FIRST);
    assertThat(american.read("11/05/2026 1:00 PM")).isEqualTo("2026-11-05T13:00:00Z");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "time,celsius",
        "Time;Temperature °C",
        "timestamp\ttemp (C)",
        "Date/Time,Temp (°C)",
        "at,c",
        "No,Date,Time,T °C",
        "\uFEFFtime,celsius",
        "Logger K2,serial 17\n\ntime,celsius"
      })
  void anySensibleHeaderIsUnderstood(String header) throws IOException {
    char comma = header.contains(";") ? ';' : header.contains("\t") ? '\t' : ',';
    String line =
        header.startsWith("No")
            ? "1,2026-11-25,14:03:22,43.5"
            : "2026-11-25T14:03:22Z" + comma + "43.5";
    read(header + "\n" + line + "\n");
    assertThat(good).hasSize(1);
    assertThat(good.get(0).celsius()).isEqualTo(43.5);
    assertThat(bad).isEmpty();
  }

  @Test
  void commasInFiguresAndUnitsInCellsAreRead() throws IOException {
    read(
        "Datum;Temp °C\n25.11.2026 14:00;43,5\n25.11.2026 14:05;43,7 °C\n25.11.2026 14:10;110 F\n");
    assertThat(good).hasSize(3);
    assertThat(good.get(2).celsius()).isCloseTo(43.33, within(0.01));
  }

  @Test
  void theHeadersFahrenheitIsTakenByItsWord() throws IOException {
    read("time,temp °F\n2026-11-25T14:00:00Z,110\n");
    assertThat(good.get(0).celsius()).isCloseTo(43.33, within(0.01));
  }

  @Test
  void whatItDoesNotSayIsAsked() throws IOException {
    assertThat(file("time,temp\n2026-11-25T14:00:00Z,43\n").questions())
        .containsExactly(Question.SCALE);
    assertThat(file("time,temp\n2026-11-25T14:00:00Z,43 C\n").questions()).isEmpty();
    assertThat(file("time,°C\n05/06/2026 14:00,43\n").questions()).containsExactly(Question.ORDER);
    assertThat(file("time,°C\n25/06/2026 14:00,43\n").questions()).isEmpty();
    assertThat(file("time,temp\n05/06/2026 14:00,43\n").questions())
        .containsExactlyInAnyOrder(Question.SCALE, Question.ORDER);
  }

  @Test
  void theOrderOfDayAndMonthIsSeenFromAnyLineThatShowsIt() throws IOException {
    LoggerFile file = file("time,°C\n05/06/2026 14:00,43\n05/30/2026 14:00,43\n");
    assertThat(file.questions()).isEmpty();
    read("time,°C\n05/06/2026 14:00,43\n05/30/2026 14:00,43\n");
    assertThat(good.get(0).at()).isEqualTo("2026-05-06T12:00:00Z");
  }

  @Test
  void everyBadLineIsNamedByItsNumberInTheFile() throws IOException {
    read(
        "time,c\n2026-11-25T08:00:00Z,21\n\n2026-11-25T09:00:00Z\nnoon,21\n"
            + "2026-11-25T10:00:00Z,warm\n2026-11-25T11:00:00Z,900\n1926-11-25T11:00:00Z,20\n");
    assertThat(good).hasSize(1);
    assertThat(bad)
        .extracting(b -> b.substring(0, b.indexOf(':')))
        .containsExactly("4", "5", "6", "7", "8");
    assertThat(bad.get(1)).contains("“noon” is not a time");
    assertThat(bad.get(3)).contains("−60 and 400");
  }

  @ParameterizedTest
  @ValueSource(strings = {"a,b\n1,2\n", "time,humidity\n1,2\n", "just words\n", "\n\n", ""})
  void aFileWithoutTimeOrTemperatureIsRefused(String text) {
    assertThatThrownBy(() -> file(text)).hasMessageContaining("header");
  }

  @Test
  void aBinaryFileIsNoCsv() {
    byte[] bytes = new byte[400];
    new java.util.Random(1).nextBytes(bytes);
    bytes[20] = 0;
    assertThatThrownBy(() -> LoggerFile.of(new ByteArrayInputStream(bytes)))
        .hasMessageContaining("binary");
  }

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "windows-1252", "UTF-16LE"})
  void olderLoggersLettersAreRead(String charset) throws IOException {
    String text = (charset.startsWith("UTF-16") ? "\uFEFF" : "") + "time,Temp °C\n";
    byte[] bytes = (text + "2026-11-25T08:00:00Z,21.5\n").getBytes(Charset.forName(charset));
    LoggerFile file = LoggerFile.of(new ByteArrayInputStream(bytes));
    file.read(new ByteArrayInputStream(bytes), CELSIUS, sink());
    assertThat(good).hasSize(1);
    assertThat(bad).isEmpty();
  }

  @Test
  void mixedDegreesAreRefusedAsAWholeWhereTheyBegin() {
    assertThatThrownBy(
            () ->
                read(
                    "time,temp\n2026-11-25T08:00:00Z,43.0\n2026-11-25T08:01:00Z,43.2\n"
                        + "2026-11-25T08:02:00Z,109.8\n"))
        .hasMessageContaining("mixed")
        .hasMessageContaining("line 4");
  }

  @Test
  void arealLeapIsNoMixture() throws IOException {
    read("time,c\n2026-11-25T08:00:00Z,20\n2026-11-25T08:01:00Z,80\n");
    assertThat(good).hasSize(2);
  }

  @Test
  void aQuoteThatNeverClosesEndsTheFileThere() throws IOException {
    read("time,c\n2026-11-25T08:00:00Z,20\n\"2026-11-25T08:01:00Z,21\n2026-11-25T08:02:00Z,22\n");
    assertThat(good).hasSize(1);
    assertThat(bad).hasSize(1);
  }

  private static LoggerFile file(String text) throws IOException {
    return LoggerFile.of(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
  }

  private void read(String text) throws IOException {
    file(text)
        .read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), CELSIUS, sink());
  }

  private LoggerFile.Sink sink() {
    return new LoggerFile.Sink() {
      @Override
      public void reading(long line, Reading reading) {
        good.add(reading);
      }

      @Override
      public void rejected(long line, String why) {
        bad.add(line + ": " + why);
      }
    };
  }
}
