package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;

class HappenedTest {
  private static final Instant NOW = Instant.parse("2026-11-28T15:00:00Z");

  private static Happened typed(String typed, String zone, Locale locale) {
    return new Happened(
        typed,
        new Formats(Units.metric(Kitchen.METRIC), Customs.usual(locale), ZoneId.of(zone), NOW),
        null);
  }

  @ParameterizedTest
  @CsvSource({
    "Europe/Oslo, 2026-03-28T12:00, 2026-03-28T11:00:00Z",
    "Europe/Oslo, 2026-03-30T12:00, 2026-03-30T10:00:00Z",
    "America/New_York, 2026-01-10T08:30, 2026-01-10T13:30:00Z",
    "Europe/Oslo, 9:15, 2026-11-28T08:15:00Z",
    "Europe/Oslo, this morning, 2026-11-28T08:00:00Z"
  })
  void aMomentIsOfTheHouseholdsClock(String zone, String typed, Instant at) {
    assertThat(typed(typed, zone, Locale.UK).at()).isEqualTo(at);
  }

  @Test
  void theOrderOfADateIsTheHouseholds() {
    assertThat(typed("4/10 8:00", "UTC", Locale.UK).at()).isEqualTo("2026-10-04T08:00:00Z");
    assertThat(typed("4/10 8:00", "UTC", Locale.US).at()).isEqualTo("2026-04-10T08:00:00Z");
  }

  @Test
  void noMomentIsNowAndNonsenseIsRefused() {
    assertThat(typed("", "UTC", Locale.UK).at()).isNull();
    assertThat(typed("now", "UTC", Locale.UK).at()).isNull();
    assertThat(typed("today", "UTC", Locale.UK).at()).isNull();
    assertThat(typed("", "UTC", Locale.UK).words()).isEmpty();
    assertThatThrownBy(() -> typed("some day", "UTC", Locale.UK).at())
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> {
              assertThat(refused.names("happened")).isTrue();
              assertThat(refused.problems().get(0).message()).contains("“some day” is no time");
            });
  }

  @Test
  void whatWasUnderstoodIsTold() {
    assertThat(typed("9:15", "UTC", Locale.UK).words()).isEqualTo("today 09:15");
    assertThat(typed("last night", "UTC", Locale.UK).words())
        .isEqualTo("about today 01:30, between yesterday 21:00 and today 06:00");
    assertThat(typed("this morning", "UTC", Locale.UK).words())
        .isEqualTo("about today 09:00, between 06:00 and 12:00");
  }
}
