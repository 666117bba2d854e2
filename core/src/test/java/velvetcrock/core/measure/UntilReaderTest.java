package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDateTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;

class UntilReaderTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

  /** A Saturday, half past two in the afternoon. */
  private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 28, 14, 30);

  private static String read(String typed, boolean monthFirst) {
    return new UntilReader(NOW.atZone(OSLO).toInstant(), OSLO, monthFirst)
        .read(typed)
        .atZone(OSLO)
        .toLocalDateTime()
        .toString();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "ten more days | 2026-12-08T00:00",
        "10 days | 2026-12-08T00:00",
        "a week | 2026-12-05T00:00",
        "another week | 2026-12-05T00:00",
        "two weeks | 2026-12-12T00:00",
        "a few more days | 2026-12-01T00:00",
        "a month | 2026-12-28T00:00",
        "two more hours | 2026-11-28T16:30",
        "another hour | 2026-11-28T15:30",
        "an hour and a half | 2026-11-28T16:00",
        "90 min | 2026-11-28T16:00",
        "half an hour longer | 2026-11-28T15:00",
        "tomorrow | 2026-11-29T00:00",
        "tomorrow 8:00 | 2026-11-29T08:00",
        "until Wednesday | 2026-12-02T00:00",
        "next Saturday | 2026-12-05T00:00",
        "12 Dec | 2026-12-12T00:00",
        "3 March | 2027-03-03T00:00",
        "2026-12-24 | 2026-12-24T00:00",
        "21:30 | 2026-11-28T21:30",
        "9 am | 2026-11-29T09:00",
      })
  void whatLiesAheadIsReadAsItIsSaid(String typed, String until) {
    assertThat(read(typed, false)).isEqualTo(until);
  }

  @Test
  void figuresAreReadInTheHouseholdsOrder() {
    assertThat(read("12/5", true)).isEqualTo("2026-12-05T00:00");
    assertThat(read("12/5", false)).isEqualTo("2027-05-12T00:00");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "yesterday",
        "2026-11-01",
        "when it is done",
        "0 days",
        "31 Feb",
        "minus 3 days"
      })
  void whatIsNotAheadOrNoTimeIsRefusedWithWhatIsExpected(String typed) {
    assertThatThrownBy(() -> read(typed, false))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("ten more days");
  }
}
