package velvetcrock.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import velvetcrock.web.BesideTheStore;

/** The backups as they stand in {@code backups.tsv} of the data folder. */
@Component
public class Backups implements BesideTheStore {
  /** One that is older than this should have been followed by another. */
  static final Duration LATE = Duration.ofHours(36);

  private static final int COLUMNS = 7;
  private static final int PROBLEM = 6;

  private final Optional<Path> noted;
  private final Clock clock;

  Backups(@Value("${VELVETCROCK_DATA:}") String data, Clock clock) {
    this.noted =
        data.isBlank() ? Optional.empty() : Optional.of(Path.of(data).resolve("backups.tsv"));
    this.clock = clock;
  }

  /**
   * One backup, or the attempt at one.
   *
   * @param bytes its size
   * @param seconds how long its trial restore took
   * @param problem what went wrong; empty where it counts
   */
  public record Made(
      Instant at, String file, long bytes, long seconds, boolean encrypted, String problem) {}

  /**
   * How it stands with backups.
   *
   * @param byThemselves whether this house makes them; not where it was started otherwise
   * @param last the last that counts
   * @param problem what went wrong since; empty if nothing did
   */
  public record Standing(boolean byThemselves, Optional<Made> last, String problem, boolean late) {
    /** Whether somebody should see to it. */
    public boolean caution() {
      return byThemselves && (late || !problem.isEmpty());
    }
  }

  /** How it stands now. */
  public Standing standing() {
    if (noted.isEmpty()) {
      return new Standing(false, Optional.empty(), "", false);
    }
    List<Made> all = read(noted.get());
    Optional<Made> last = all.stream().filter(m -> m.problem().isEmpty()).reduce((a, b) -> b);
    String problem = all.isEmpty() ? "" : all.get(all.size() - 1).problem();
    boolean late =
        last.map(m -> m.at().plus(LATE).isBefore(clock.instant())).orElse(!all.isEmpty());
    return new Standing(true, last, problem, late);
  }

  /** By the file in which the commands note them. */
  @Override
  public String mark() {
    return noted.map(Path::toFile).map(f -> f.lastModified() + " " + f.length()).orElse("");
  }

  private static List<Made> read(Path file) {
    try (Stream<String> lines = Files.lines(file)) {
      return lines
          .map(line -> line.split("\t", -1))
          .filter(cells -> cells.length == COLUMNS && cells[0].matches("\\d{1,12}"))
          .map(Backups::made)
          .toList();
    } catch (IOException none) {
      return List.of();
    }
  }

  private static Made made(String[] cells) {
    return new Made(
        Instant.ofEpochSecond(Long.parseLong(cells[0])),
        cells[1],
        number(cells[2]),
        number(cells[3]),
        cells[4].equals("yes"),
        cells[PROBLEM]);
  }

  private static long number(String cell) {
    String digits = cell.strip();
    return digits.matches("\\d{1,18}") ? Long.parseLong(digits) : 0;
  }
}
