package velvetcrock.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/**
 * Something that wants doing.
 *
 * @param due the day from which it wants doing
 * @param until the day by which it should be done, if there is one
 * @param amountMl oil that it is about, ml; 0 where it is about none
 */
public record Task(Kind kind, LocalDate due, @Nullable LocalDate until, double amountMl) {

  /** Kinds of task, the most pressing first. */
  public enum Kind {
    /** It is spoiled: throw it out. */
    THROW_OUT,
    /** The herb is not covered: top up. */
    COVER,
    /** The herb floats: turn it. */
    TURN,
    /** Bottles stand open to cool: cap them. */
    CAP,
    /** Strained oil stands in the open: bottle it. */
    BOTTLE,
    /** Its window is open: strain. */
    STRAIN,
    /** Dried herb is swelling: see whether oil is missing. */
    TOP_UP,
    /** Shake. */
    SHAKE,
    /** Open, look and smell. */
    LOOK
  }

  /** Days by which it is late: past its end if it has one, else past the day it fell due. */
  public long overdueDays(LocalDate today) {
    return Math.max(0, ChronoUnit.DAYS.between(until == null ? due : until, today));
  }

  /** Whether it is one of the small things done in one go when all is well. */
  public boolean tending() {
    return kind == Kind.TOP_UP || kind == Kind.SHAKE || kind == Kind.LOOK;
  }
}
