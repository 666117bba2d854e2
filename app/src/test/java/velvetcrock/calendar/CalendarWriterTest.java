package velvetcrock.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.Observance;
import biweekly.component.VEvent;
import biweekly.component.VTimezone;
import biweekly.util.DateTimeComponents;
import biweekly.util.UtcOffset;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Period;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TimeZone;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written, read back by another library and held against RFC 5545. */
class CalendarWriterTest {
  private static final Stamps.Stamp STAMP =
      new Stamps.Stamp(3, Instant.parse("2026-11-25T10:00:00Z"));

  private static String write(ZoneId zone, Happening... happenings) {
    Map<String, Stamps.Stamp> stamps = new HashMap<>();
    for (Happening h : happenings) {
      stamps.put(h.uid(), STAMP);
    }
    return new CalendarWriter(zone).write(List.of(happenings), stamps, List.of(), Calls.usual());
  }

  private static Happening daily(LocalDateTime from, int times) {
    return new Happening(
        "check",
        "Shake and look: K7M",
        "Daily",
        new Happening.Moment(from, 5, new Happening.Repeat(1, times)),
        Calls.Kind.VISIT,
        Period.ZERO);
  }

  /** Clocks go forward in March and back in October; half past seven stays half past seven. */
  @ParameterizedTest
  @CsvSource({
    "Europe/Oslo, 2027-03-25",
    "Europe/Oslo, 2027-10-28",
    "Europe/London, 2027-03-25",
    "America/New_York, 2027-11-04",
    "Australia/Sydney, 2027-04-01",
    "Asia/Kolkata, 2027-03-25"
  })
  void theSameTimeOfDayAcrossAClockChange(ZoneId zone, LocalDate from) {
    LocalDateTime first = from.atTime(7, 30);
    ICalendar read = Biweekly.parse(write(zone, daily(first, 7))).first();
    VEvent event = read.getEvents().get(0);
    DateIterator times = event.getDateIterator(TimeZone.getTimeZone(zone));

    List<ZonedDateTime> moments = new ArrayList<>();
    times.forEachRemaining(at -> moments.add(at.toInstant().atZone(zone)));
    assertThat(moments).hasSize(7);
    assertThat(moments).allMatch(at -> at.toLocalTime().equals(LocalTime.of(7, 30)));
    assertThat(moments.get(6).toLocalDate()).isEqualTo(from.plusDays(6));
    assertThat(event.getDateStart().getValue().toInstant())
        .isEqualTo(first.atZone(zone).toInstant());
  }

  /** Hour by hour, the last change of the clock before it gives the offset that the zone has. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "Europe/Oslo",
        "Europe/London",
        "America/New_York",
        "America/Sao_Paulo",
        "Australia/Lord_Howe",
        "Asia/Kolkata",
        "Etc/UTC"
      })
  void theZoneThatIsWrittenIsTheZonesOwn(ZoneId zone) {
    ICalendar read =
        Biweekly.parse(write(zone, daily(LocalDate.of(2027, 3, 25).atTime(7, 30), 7))).first();
    VTimezone written = read.getTimezoneInfo().getComponents().iterator().next();
    List<Observance> changes = new ArrayList<>(written.getStandardTimes());
    changes.addAll(written.getDaylightSavingsTime());

    Instant hour = Instant.parse("2027-01-01T12:00:00Z");
    for (; hour.isBefore(Instant.parse("2028-01-01T00:00:00Z")); hour = hour.plusSeconds(3600)) {
      Instant at = hour;
      Observance last =
          changes.stream()
              .filter(c -> !onset(c).isAfter(at))
              .max(Comparator.comparing(CalendarWriterTest::onset))
              .orElseThrow();
      assertThat(seconds(last.getTimezoneOffsetTo().getValue()))
          .as("%s at %s", zone, at)
          .isEqualTo(zone.getRules().getOffset(at).getTotalSeconds());
    }
  }

  private static Instant onset(Observance change) {
    DateTimeComponents local = change.getDateStart().getValue().getRawComponents();
    return LocalDateTime.of(
            local.getYear(), local.getMonth(), local.getDate(), local.getHour(), local.getMinute())
        .toInstant(ZoneOffset.ofTotalSeconds(seconds(change.getTimezoneOffsetFrom().getValue())));
  }

  private static int seconds(UtcOffset offset) {
    return (int) (offset.getMillis() / 1000);
  }

  @Test
  void whatAnotherLibraryReadsIsWhatWasWritten() {
    Happening window =
        new Happening(
            "window",
            "May be strained: K7M; Yarrow, Self-heal",
            "Usually on 3 December\nat the latest on 24 December",
            new Happening.Days(LocalDate.of(2026, 12, 1), LocalDate.of(2026, 12, 24)),
            Calls.Kind.STRAIN,
            Period.ZERO);
    ICalendar read = Biweekly.parse(write(ZoneId.of("Europe/Oslo"), window)).first();
    VEvent event = read.getEvents().get(0);

    assertThat(read.validate(ICalVersion.V2_0).toString()).isEmpty();
    assertThat(event.getUid().getValue()).isEqualTo("window");
    assertThat(event.getSequence().getValue()).isEqualTo(3);
    assertThat(event.getSummary().getValue()).isEqualTo(window.title());
    assertThat(event.getDescription().getValue()).isEqualTo(window.detail());
    assertThat(event.getDateStart().getValue().hasTime()).isFalse();
    assertThat(event.getDateStart().getValue().getRawComponents().getDate()).isEqualTo(1);
    assertThat(event.getDateEnd().getValue().getRawComponents().getDate()).isEqualTo(25);
    assertThat(event.getDateTimeStamp().getValue().toInstant()).isEqualTo(STAMP.changedAt());
    assertThat(event.getAlarms()).hasSize(1);
  }

  @Test
  void whatIsGoneIsCancelled() {
    String written =
        new CalendarWriter(ZoneId.of("Europe/Oslo"))
            .write(
                List.of(),
                Map.of(),
                List.of(new Stamps.Gone("old", "Strain K7M", LocalDate.of(2026, 12, 1), STAMP)),
                Calls.usual());
    VEvent event = Biweekly.parse(written).first().getEvents().get(0);

    assertThat(event.getStatus().isCancelled()).isTrue();
    assertThat(event.getUid().getValue()).isEqualTo("old");
  }

  /** RFC 5545: 3.1 lines, 3.6 components and what each must have, 3.6.5 zones that are named. */
  @Test
  void itKeepsTheRulesOfTheStandard() {
    Happening longWords =
        new Happening(
            "long",
            "Mjødurt, ryllik og blåbær – ".repeat(8),
            "Æøå ".repeat(60),
            new Happening.Moment(LocalDateTime.of(2026, 12, 1, 8, 0), 20, null),
            Calls.Kind.PLAN,
            Period.ZERO);
    String written =
        write(ZoneId.of("Europe/Oslo"), longWords, daily(LocalDateTime.of(2026, 12, 1, 7, 0), 5));

    assertThat(written).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n");
    assertThat(written.replace("\r\n", "")).doesNotContain("\n").doesNotContain("\r");
    for (String line : written.split("\r\n")) {
      assertThat(line.getBytes(StandardCharsets.UTF_8).length).as(line).isLessThanOrEqualTo(75);
    }
    String unfolded = written.replace("\r\n ", "");
    assertThat(unfolded)
        .contains("VERSION:2.0\r\n")
        .contains("PRODID:-//Velvet Crock")
        .contains("BEGIN:VTIMEZONE\r\n")
        .contains("TZID:Europe/Oslo\r\n")
        .contains("DTSTART;TZID=Europe/Oslo:20261201T080000")
        .contains("RRULE:FREQ=DAILY");
    for (String event : unfolded.split("BEGIN:VEVENT")) {
      if (event.contains("END:VEVENT")) {
        assertThat(event).containsOnlyOnce("\r\nUID:").containsOnlyOnce("\r\nSEQUENCE:");
        assertThat(event.split("BEGIN:VALARM")[0]).containsOnlyOnce("\r\nDTSTAMP:");
      }
    }
  }
}
