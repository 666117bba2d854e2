package velvetcrock.stove;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneRules;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * Turns the local times of one logger, line after line, into moments. In autumn an hour comes
 * twice: a logger that follows the house writes it twice, and where its times jump back the second
 * pass begins; one that was left alone writes on. In spring an hour is skipped, or written on
 * through. Which of the two it does no file says, so it is asked.
 */
final class LocalClock {
  /** What a logger does where the house's clocks change. */
  enum Changes {
    /** Nobody has said. */
    ASK,
    /** It goes with the house. */
    WITH_THE_HOUSE,
    /** It stays as it was at its first line. */
    NEVER
  }

  /** Says of a time that the clocks were put forward over it. */
  static final String SKIPPED = "skipped";

  /** A jump by less than this is lines out of order, not a clock put back. */
  private static final Duration LEAST_JUMP = Duration.ofMinutes(10);

  private final ZoneRules rules;
  private final Changes changes;
  private @Nullable ZoneOffset inForce;
  private @Nullable LocalDateTime before;
  private boolean backwards;

  LocalClock(ZoneId zone, Changes changes) {
    this.rules = zone.getRules();
    this.changes = changes;
  }

  /**
   * The moment of the next line.
   *
   * @throws Refused at {@code clock} where the clocks change and nobody has said what it does
   * @throws DateTimeException for a time that there was not
   */
  Instant moment(LocalDateTime local) {
    ZoneOffset only = rules.isFixedOffset() ? rules.getOffset(Instant.EPOCH) : null;
    return local.toInstant(only == null ? offset(local) : only);
  }

  private ZoneOffset offset(LocalDateTime local) {
    List<ZoneOffset> valid = rules.getValidOffsets(local);
    ZoneOffset now = inForce;
    ZoneOffset offset;
    if (valid.size() == 1 && (now == null || now.equals(valid.get(0)))) {
      offset = valid.get(0);
    } else if (changes == Changes.ASK) {
      throw new Refused(
          LoggerFile.CLOCK_FIELD,
          "The clocks changed while it was logging, near "
              + local
              + ". Say whether its clock went with the house’s.");
    } else if (changes == Changes.NEVER) {
      offset = now != null ? now : rules.getOffset(local);
    } else if (valid.isEmpty()) {
      throw new DateTimeException(SKIPPED);
    } else {
      offset = valid.size() == 1 ? valid.get(0) : ofTwo(local, valid, now);
    }
    if (before != null && valid.size() == 1 && !local.equals(before)) {
      backwards = local.isBefore(before);
    }
    inForce = offset;
    before = local;
    return offset;
  }

  /** Which of the two passes of a doubled hour. */
  private ZoneOffset ofTwo(LocalDateTime local, List<ZoneOffset> valid, @Nullable ZoneOffset now) {
    if (now == null || !valid.contains(now)) {
      return valid.get(0);
    }
    LocalDateTime last = before == null ? local : before;
    Duration step = Duration.between(last, local);
    Duration back = backwards ? step : step.negated();
    if (back.compareTo(LEAST_JUMP) < 0) {
      return now;
    }
    return valid.get(backwards ? 0 : 1);
  }
}
