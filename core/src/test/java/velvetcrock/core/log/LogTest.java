package velvetcrock.core.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Refused;

class LogTest {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

  /** Something that happens, in a log that only remembers names. */
  private record Said(String kind, boolean begins, boolean strikes) implements Event<List<String>> {
    static Said of(String kind) {
      return new Said(kind, false, false);
    }

    @Override
    public void applyTo(List<String> fold, Instant at) {
      fold.add(kind);
    }
  }

  private Log<Said> log = Log.empty();

  private UUID happens(Said event, double hours, UUID replaces) {
    Instant now = NOON.plus(Duration.ofDays(30));
    Instant at = NOON.plus(Duration.ofMinutes(Math.round(hours * 60)));
    log = log.with(new Log.Draft<>(event, at, replaces), new Log.Now(now, ZoneOffset.UTC));
    return log.last().id();
  }

  private List<String> folded() {
    List<String> names = new ArrayList<>();
    log.counting().forEach(e -> e.event().applyTo(names, e.at()));
    return names;
  }

  @Test
  void entriesCountAsTheyHappenedAndTheBeginningFirst() {
    happens(new Said("begun", true, false), 2, null);
    happens(Said.of("third"), 5, null);
    happens(Said.of("second"), 3, null);
    happens(Said.of("fourth, written later"), 5, null);

    assertThat(folded()).containsExactly("begun", "second", "third", "fourth, written later");
    assertThat(log.entries()).extracting(Entry::number).containsExactly(1, 2, 3, 4);
  }

  @Test
  void whatIsReplacedCountsNoMoreAndOnlyOnce() {
    happens(new Said("begun", true, false), 0, null);
    UUID wrong = happens(Said.of("wrong"), 1, null);
    UUID right = happens(Said.of("right"), 1, wrong);

    assertThat(folded()).containsExactly("begun", "right");
    assertThatThrownBy(() -> happens(Said.of("again"), 1, wrong))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("taken back already");

    UUID struck = happens(new Said("struck", false, true), 2, right);
    assertThat(folded()).containsExactly("begun", "struck");
    assertThatThrownBy(() -> happens(new Said("struck", false, true), 3, struck))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("only taken something back");
  }

  @Test
  void nothingIsStillToComeButForClocksThatDiffer() {
    Log.Now now = new Log.Now(NOON, ZoneOffset.UTC);
    Log<Said> begun = log.with(new Log.Draft<>(new Said("begun", true, false), null, null), now);

    assertThat(begun.last().at()).isEqualTo(NOON);
    Instant soon = NOON.plus(Log.CLOCK_TOLERANCE);
    assertThat(begun.with(new Log.Draft<>(Said.of("x"), soon, null), now).entries()).hasSize(2);
    assertThatThrownBy(
            () -> begun.with(new Log.Draft<>(Said.of("x"), soon.plusSeconds(1), null), now))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("has not happened yet");
    assertThatThrownBy(
            () -> begun.with(new Log.Draft<>(Said.of("x"), NOON.minusSeconds(1), null), now))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("before it began");
  }

  @Test
  void aStrikingOutNamesAnEntryThatIsThere() {
    happens(new Said("begun", true, false), 0, null);

    assertThatThrownBy(() -> happens(new Said("struck", false, true), 1, null))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Name the entry");
    assertThatThrownBy(() -> happens(Said.of("x"), 1, UUID.randomUUID()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("no such entry");
    assertThatThrownBy(() -> Log.<Said>empty().last())
        .isInstanceOf(java.util.NoSuchElementException.class);
  }

  /**
   * The clock of the house is put back by an hour: what was just done is neither early nor to come.
   */
  @Test
  void aClockThatWasPutBackRefusesNothingThatWasJustDone() {
    Log<Said> begun =
        log.with(
            new Log.Draft<>(new Said("begun", true, false), null, null),
            new Log.Now(NOON, ZoneOffset.UTC));
    Log.Now back = new Log.Now(NOON.minusSeconds(3600), ZoneOffset.UTC);

    Log<Said> shaken = begun.with(new Log.Draft<>(Said.of("shaken"), null, null), back);
    assertThat(shaken.last().at()).isEqualTo(NOON);
    Instant told = NOON.plusSeconds(30);
    assertThat(shaken.with(new Log.Draft<>(Said.of("told"), told, null), back).last().at())
        .isEqualTo(told);
    assertThatThrownBy(
            () -> shaken.with(new Log.Draft<>(Said.of("x"), NOON.plusSeconds(7200), null), back))
        .isInstanceOf(Refused.class);
  }
}
