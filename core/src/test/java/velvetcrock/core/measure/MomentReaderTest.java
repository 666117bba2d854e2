package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.MomentReader.Moment;

/** It is a quarter past four on a Saturday in Oslo, 28 November 2026. */
class MomentReaderTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-28T16:15:00");
  private final MomentReader reader = at(NOW, false);

  private static MomentReader at(LocalDateTime now, boolean monthFirst) {
    return new MomentReader(now.atZone(OSLO).toInstant(), OSLO, monthFirst);
  }

  private static LocalDateTime local(Instant at) {
    return LocalDateTime.ofInstant(at, OSLO);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "now | 2026-11-28T16:15",
        "just now | 2026-11-28T16:15",
        "9:15 | 2026-11-28T09:15",
        "9.15 | 2026-11-28T09:15",
        "at 9 | 2026-11-28T09:00",
        "9 am | 2026-11-28T09:00",
        "12 am | 2026-11-28T00:00",
        "3:30 p.m. | 2026-11-28T15:30",
        "15h | 2026-11-28T15:00",
        "9 o'clock | 2026-11-28T09:00",
        "nine o’clock | 2026-11-28T09:00",
        "half past nine | 2026-11-28T09:30",
        "quarter to 4 | 2026-11-28T03:45",
        "ten past three | 2026-11-28T03:10",
        "noon | 2026-11-28T12:00",
        "22:30 | 2026-11-27T22:30",
        "16:18 | 2026-11-28T16:18",
        "today 8:00 | 2026-11-28T08:00",
        "8:00 today | 2026-11-28T08:00",
        "yesterday at 18:20 | 2026-11-27T18:20",
        "yesterday, 6 pm | 2026-11-27T18:00",
        "6 pm yesterday | 2026-11-27T18:00",
        "the day before yesterday 7:00 | 2026-11-26T07:00",
        "Monday 8 am | 2026-11-23T08:00",
        "last sat 8 am | 2026-11-21T08:00",
        "on Wednesday at noon | 2026-11-25T12:00",
        "20 Nov 14:05 | 2026-11-20T14:05",
        "Nov 20, 2 pm | 2026-11-20T14:00",
        "20th of November 14:05 | 2026-11-20T14:05",
        "24 December 2025 18:00 | 2025-12-24T18:00",
        "24 Dec 18:00 | 2025-12-24T18:00",
        "5/11 9:00 | 2026-11-05T09:00",
        "5.11. 9:00 | 2026-11-05T09:00",
        "5/11/26 9:00 | 2026-11-05T09:00",
        "2026-11-20 14:05 | 2026-11-20T14:05",
        "2026-11-20T14:05 | 2026-11-20T14:05",
        "2026-11-20T14:05:30 | 2026-11-20T14:05:30",
        "10 minutes ago | 2026-11-28T16:05",
        "10 min ago | 2026-11-28T16:05",
        "half an hour ago | 2026-11-28T15:45",
        "an hour ago | 2026-11-28T15:15",
        "an hour and a half ago | 2026-11-28T14:45",
        "1.5 h ago | 2026-11-28T14:45",
        "a couple of hours ago | 2026-11-28T14:15",
        "twenty minutes ago | 2026-11-28T15:55",
        "two days ago | 2026-11-26T16:15",
        "a week ago | 2026-11-21T16:15",
        "today | 2026-11-28T16:15",
      })
  void aMomentIsRead(String said, LocalDateTime when) {
    Moment moment = reader.read(said);
    assertThat(local(moment.at())).isEqualTo(when);
    assertThat(moment.exact()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "this morning | 2026-11-28T06:00 | 2026-11-28T12:00",
        "this afternoon | 2026-11-28T12:00 | 2026-11-28T16:15",
        "in the morning | 2026-11-28T06:00 | 2026-11-28T12:00",
        "last night | 2026-11-27T21:00 | 2026-11-28T06:00",
        "overnight | 2026-11-27T21:00 | 2026-11-28T06:00",
        "yesterday evening | 2026-11-27T18:00 | 2026-11-27T22:00",
        "Monday morning | 2026-11-23T06:00 | 2026-11-23T12:00",
        "yesterday | 2026-11-27T00:00 | 2026-11-28T00:00",
        "20 Nov | 2026-11-20T00:00 | 2026-11-21T00:00",
        "2026-11-20 | 2026-11-20T00:00 | 2026-11-21T00:00",
      })
  void aPartOfADayIsASpanThatEndsNowAtTheLatest(String said, LocalDateTime from, LocalDateTime to) {
    Moment moment = reader.read(said);
    assertThat(local(moment.from())).isEqualTo(from);
    assertThat(local(moment.to())).isEqualTo(to);
    assertThat(local(moment.at())).isEqualTo(from.plus(Duration.between(from, to).dividedBy(2)));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "soon",
        "25:00",
        "9:75",
        "13 pm",
        "31 February",
        "32/11",
        "ago",
        "many hours ago",
        "first",
        "yesterday tomorrow",
        "at",
        "?",
        "next week",
        "2026-13-01",
      })
  void whatIsNoTimeIsRefusedWithWhatWouldBe(String said) {
    assertThatThrownBy(() -> reader.read(said))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("is no time")
        .hasMessageContaining("this morning");
  }

  @Test
  void monthsComeFirstWhereTheHouseholdWritesThemSo() {
    assertThat(local(at(NOW, true).read("11/5 9:00").at())).isEqualTo("2026-11-05T09:00");
    assertThat(local(reader.read("11/5 9:00").at())).isEqualTo("2026-05-11T09:00");
  }

  @Test
  void theHourThatAClockChangeSkippedIsRefused() {
    MomentReader spring = at(LocalDateTime.parse("2026-03-29T09:00"), false);
    assertThatThrownBy(() -> spring.read("2:30"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("2:30 was skipped that night: the clocks went from 2:00 to 3:00");
    assertThat(spring.read("3:30").at()).isEqualTo("2026-03-29T01:30:00Z");
  }

  @Test
  void theHourThatCameTwiceIsAskedAndAnswered() {
    MomentReader autumn = at(LocalDateTime.parse("2026-10-25T09:00"), false);
    assertThatThrownBy(() -> autumn.read("2:30"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("2:30 came twice that night: the clocks went from 3:00 to 2:00")
        .hasMessageContaining("first 2:30");
    assertThat(autumn.read("first 2:30").at()).isEqualTo("2026-10-25T00:30:00Z");
    assertThat(autumn.read("second 2:30").at()).isEqualTo("2026-10-25T01:30:00Z");
    assertThat(at(NOW, false).read("second 2026-10-25T02:30").at())
        .isEqualTo("2026-10-25T01:30:00Z");
    assertThat(autumn.read("8 hours ago").at()).isEqualTo("2026-10-25T00:00:00Z");
  }

  @Test
  void anyTextIsReadOrRefused() {
    Random random = new Random(3);
    String[] words = {
      "yesterday",
      "last",
      "night",
      "9",
      ":",
      "15",
      "am",
      "ago",
      "hour",
      "an",
      "half",
      "past",
      "to",
      "28",
      "Nov",
      "/",
      "-",
      "2026",
      "T",
      "first",
      "monday",
      "morning",
      "“",
      "½",
      ".",
      ",",
      "noon"
    };
    for (int i = 0; i < 20000; i++) {
      StringBuilder text = new StringBuilder();
      for (int k = random.nextInt(6); k >= 0; k--) {
        text.append(words[random.nextInt(words.length)]).append(random.nextBoolean() ? " " : "");
      }
      try {
        Moment moment = reader.read(text.toString());
        assertThat(moment.from()).isBeforeOrEqualTo(moment.to());
      } catch (Refused refused) {
        assertThat(refused.names("text")).isTrue();
      }
    }
  }
}
