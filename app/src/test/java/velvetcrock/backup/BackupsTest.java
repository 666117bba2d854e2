package velvetcrock.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** How it stands with backups, by what the commands noted. */
class BackupsTest {
  private static final Instant NOW = Instant.parse("2026-04-03T08:00:00Z");

  @TempDir Path data;

  private Backups backups() {
    return new Backups(data.toString(), Clock.fixed(NOW, ZoneOffset.UTC));
  }

  private void noted(Instant at, String problem) throws IOException {
    Files.writeString(
        data.resolve("backups.tsv"),
        at.getEpochSecond() + "\ta.backup\t 1200\t4\tyes\tnightly\t" + problem + "\n",
        StandardOpenOption.CREATE,
        StandardOpenOption.APPEND);
  }

  @Test
  void theLastThatCountsIsTold() throws Exception {
    noted(NOW.minusSeconds(7200), "");
    noted(NOW.minusSeconds(3600), "It did not pass its trial restore.");
    Backups.Standing standing = backups().standing();

    assertThat(standing.last()).map(Backups.Made::at).hasValue(NOW.minusSeconds(7200));
    assertThat(standing.problem()).contains("trial restore");
    assertThat(standing.late()).isFalse();
    assertThat(standing.caution()).isTrue();
  }

  @Test
  void oneThatIsOlderThanADayAndAHalfIsLate() throws Exception {
    noted(NOW.minus(Backups.LATE).minusSeconds(1), "");
    assertThat(backups().standing().caution()).isTrue();
  }

  @Test
  void whereTheHouseMakesNoneNothingIsWrong() {
    Backups elsewhere = new Backups("", Clock.fixed(NOW, ZoneOffset.UTC));
    assertThat(elsewhere.standing().caution()).isFalse();
    assertThat(elsewhere.mark()).isEmpty();
  }

  /** By it a page that tells them is made anew. */
  @Test
  void eachThatIsNotedIsAnotherMark() throws Exception {
    Backups backups = backups();
    String none = backups.mark();
    noted(NOW, "");
    String first = backups.mark();
    noted(NOW, "");

    assertThat(first).isNotEqualTo(none);
    assertThat(backups.mark()).isNotEqualTo(first);
  }
}
