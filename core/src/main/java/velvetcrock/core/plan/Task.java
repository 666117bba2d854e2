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
    /** The bath it stands in wants water. */
    FILL_BATH,
    /** It has been on the heat long enough: take it off, or carry it to the dark. */
    OFF_HEAT,
    /** Bottles stand open to cool: cap them. */
    CAP,
    /** It has settled overnight: pour it off what has sunk. */
    DECANT,
    /** Strained oil stands in the open: bottle it. */
    BOTTLE,
    /** A pot is in the pan: test it and pour it, or look at what is whipped. */
    FINISH_POT,
    /** It has rested in spirit: pour the oil. */
    POUR,
    /** It rests in spirit: see whether it is evenly damp. */
    DAMP,
    /** Its window is open: strain. */
    STRAIN,
    /** It is to be drawn warm and is not on the heat yet. */
    PUT_ON_HEAT,
    /** A bottle is past its date. */
    PAST_DATE,
    /** A bottle nears its date, or the age at which others like it turned: smell at it. */
    SMELL,
    /** Water or spirit is to leave it: weigh vessel and all. */
    WEIGH,
    /** A load that dries may be dry: bend its stems. */
    SNAP,
    /** A load is dry: put it away. */
    PUT_AWAY,
    /** A slurry has had a night to settle: see whether it is covered. */
    SETTLE,
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
    return kind == Kind.SETTLE || kind == Kind.TOP_UP || kind == Kind.SHAKE || kind == Kind.LOOK;
  }
}
