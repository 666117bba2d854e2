package velvetcrock.stove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Refused;
import velvetcrock.stove.LocalClock.Changes;

/** Oslo’s clocks went from 3:00 back to 2:00 on 25 October 2026, and from 2:00 to 3:00 in March. */
class LocalClockTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final Instant BEFORE_AUTUMN = Instant.parse("2026-10-24T22:00:00Z");
  private static final Instant BEFORE_SPRING = Instant.parse("2026-03-28T23:00:00Z");

  /** Every ten minutes through six hours. */
  private static List<Instant> moments(Instant from) {
    return IntStream.range(0, 36).mapToObj(i -> from.plusSeconds(600L * i)).toList();
  }

  /** As a logger writes them that goes with the house. */
  private static List<LocalDateTime> changed(List<Instant> moments) {
    return moments.stream().map(m -> LocalDateTime.ofInstant(m, OSLO)).toList();
  }

  /** As a logger writes them that was left as it stood at the first. */
  private static List<LocalDateTime> left(List<Instant> moments) {
    var offset = OSLO.getRules().getOffset(moments.get(0));
    return moments.stream().map(m -> LocalDateTime.ofInstant(m, offset)).toList();
  }

  private static List<Instant> read(List<LocalDateTime> written, Changes changes) {
    LocalClock clock = new LocalClock(OSLO, changes);
    List<Instant> read = new ArrayList<>();
    written.forEach(local -> read.add(clock.moment(local)));
    return read;
  }

  @Test
  void theDoubledHourIsReadTwice() {
    List<Instant> moments = moments(BEFORE_AUTUMN);
    assertThat(read(changed(moments), Changes.WITH_THE_HOUSE)).isEqualTo(moments);
  }

  @Test
  void theDoubledHourIsReadTwiceFromTheNewestLineToo() {
    List<Instant> moments = new ArrayList<>(moments(BEFORE_AUTUMN));
    Collections.reverse(moments);
    assertThat(read(changed(moments), Changes.WITH_THE_HOUSE)).isEqualTo(moments);
  }

  @Test
  void aLoggerThatWasLeftAloneIsReadAsItStood() {
    for (Instant from : List.of(BEFORE_AUTUMN, BEFORE_SPRING)) {
      List<Instant> moments = moments(from);
      assertThat(read(left(moments), Changes.NEVER)).isEqualTo(moments);
    }
  }

  @Test
  void theSkippedHourIsReadAcross() {
    List<Instant> moments = moments(BEFORE_SPRING);
    assertThat(read(changed(moments), Changes.WITH_THE_HOUSE)).isEqualTo(moments);
    assertThatThrownBy(() -> read(left(moments), Changes.WITH_THE_HOUSE))
        .isInstanceOf(DateTimeException.class);
  }

  @Test
  void whatNobodySaidIsAsked() {
    for (Instant from : List.of(BEFORE_AUTUMN, BEFORE_SPRING)) {
      assertThatThrownBy(() -> read(changed(moments(from)), Changes.ASK))
          .isInstanceOfSatisfying(
              Refused.class, refused -> assertThat(refused.names("clock")).isTrue());
    }
  }

  @Test
  void nothingIsAskedWhereNoClockChanged() {
    List<Instant> moments = moments(Instant.parse("2026-11-20T00:00:00Z"));
    assertThat(read(changed(moments), Changes.ASK)).isEqualTo(moments);
    LocalClock fixed = new LocalClock(ZoneId.of("+02:00"), Changes.ASK);
    assertThat(fixed.moment(LocalDateTime.parse("2026-10-25T02:30")))
        .isEqualTo(Instant.parse("2026-10-25T00:30:00Z"));
  }

  @Test
  void linesALittleOutOfOrderAreNoClockPutBack() {
    LocalClock clock = new LocalClock(OSLO, Changes.WITH_THE_HOUSE);
    clock.moment(LocalDateTime.parse("2026-10-25T01:59:00"));
    assertThat(
            List.of(
                clock.moment(LocalDateTime.parse("2026-10-25T02:10:05")),
                clock.moment(LocalDateTime.parse("2026-10-25T02:10:00")),
                clock.moment(LocalDateTime.parse("2026-10-25T02:10:10"))))
        .containsExactly(
            Instant.parse("2026-10-25T00:10:05Z"),
            Instant.parse("2026-10-25T00:10:00Z"),
            Instant.parse("2026-10-25T00:10:10Z"));
  }
}
