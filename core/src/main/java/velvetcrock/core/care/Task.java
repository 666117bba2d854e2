package velvetcrock.core.care;

import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Something that wants doing.
 *
 * @param due the day from which it wants doing
 * @param until the day by which it should be done, if there is one
 * @param amountMl oil that it is about, ml; 0 where it is about none
 */
public record Task(Kind kind, LocalDate due, @Nullable LocalDate until, double amountMl) {

  /** What becomes of a task that is not done at once. */
  public enum Waiting {
    /** It does harm if it waits: an hour at most, and never skipped. */
    HARMS,
    /** It waits for the day, and is not left out. */
    DUE,
    /** It may be left out this time. */
    SMALL
  }

  /** Kinds of task, the most pressing first; what each takes and whether it may wait (practice). */
  public enum Kind {
    /** It is spoiled: throw it out. */
    THROW_OUT(2, Waiting.HARMS),
    /** The herb is not covered: top up. */
    COVER(3, Waiting.HARMS),
    /** The herb floats: turn it. */
    TURN(1, Waiting.DUE),
    /** It stood on its lid for so long as was said: turn it back. */
    TURN_BACK(2, Waiting.DUE),
    /** The bath it stands in wants water. */
    FILL_BATH(3, Waiting.HARMS),
    /** It has been on the heat long enough: take it off, or carry it to the dark. */
    OFF_HEAT(5, Waiting.HARMS),
    /** Bottles stand open to cool: cap them. */
    CAP(2, Waiting.HARMS),
    /** It has settled overnight: pour it off what has sunk. */
    DECANT(10, Waiting.DUE),
    /** Strained oil stands in the open: bottle it. */
    BOTTLE(15, Waiting.DUE),
    /** A product is in the pan: test it and pour it, or look at what is whipped. */
    FINISH_PRODUCT(20, Waiting.DUE),
    /** It has rested in spirit: pour the oil. */
    POUR(15, Waiting.HARMS),
    /** It rests in spirit: see whether it is evenly damp. */
    DAMP(2, Waiting.DUE),
    /** Its window is open: strain. */
    STRAIN(30, Waiting.DUE),
    /** It is to be infused warm and is not on the heat yet. */
    PUT_ON_HEAT(5, Waiting.DUE),
    /** A plan's day has come: charge it. */
    CHARGE(20, Waiting.DUE),
    /** A bottle or a product is past its date. */
    PAST_DATE(2, Waiting.HARMS),
    /** A bottle nears its date, or the age at which others like it turned: smell it. */
    SMELL(2, Waiting.SMALL, Care.SMELLED_EVERY_DAYS),
    /** Water or spirit is to leave it: weigh vessel and all. */
    WEIGH(2, Waiting.SMALL),
    /** A load that dries may be dry: bend its stems. */
    SNAP(3, Waiting.SMALL),
    /** A load is dry: put it away. */
    PUT_AWAY(3, Waiting.DUE),
    /** More loads dry than are named one by one. */
    MORE_LOADS(5, Waiting.SMALL),
    /** A slurry has had a night to settle: see whether it is covered. */
    SETTLE(2, Waiting.SMALL),
    /** Dried herb is swelling: see whether oil is missing. */
    TOP_UP(2, Waiting.SMALL),
    /** Shake. */
    SHAKE(1, Waiting.SMALL),
    /** Open, look and smell. */
    LOOK(2, Waiting.SMALL, 3);

    private static final Duration LONGEST_OF_WHAT_HARMS = Duration.ofHours(1);

    private final int minutes;
    private final Waiting waiting;
    private final int comesAgainDays;

    Kind(int minutes, Waiting waiting) {
      this(minutes, waiting, 1);
    }

    Kind(int minutes, Waiting waiting, int comesAgainDays) {
      this.minutes = minutes;
      this.waiting = waiting;
      this.comesAgainDays = comesAgainDays;
    }

    /** Hands-on work, min. */
    public int minutes() {
      return minutes;
    }

    /** What becomes of it if it is not done at once. */
    public Waiting waiting() {
      return waiting;
    }

    /** Whether it may be left out this time, with a reason. */
    public boolean skippable() {
      return waiting != Waiting.HARMS;
    }

    /** Days until it would come again, if it is left out. */
    public int comesAgainDays() {
      return comesAgainDays;
    }

    /** How long it may be put off; empty for until the next morning. */
    public Optional<Duration> longestWait() {
      return waiting == Waiting.HARMS ? Optional.of(LONGEST_OF_WHAT_HARMS) : Optional.empty();
    }

    /** A timer that goes with it, min; 0 where none does. */
    public int timerMinutes() {
      return switch (this) {
        case STRAIN -> DRIPS_MINUTES;
        case CAP, BOTTLE -> COOLS_MINUTES;
        default -> 0;
      };
    }

    private static final int DRIPS_MINUTES = 30;
    private static final int COOLS_MINUTES = 60;
  }

  /** Whether it is work to sit down to, and no part of a round. */
  public boolean work() {
    return kind.minutes() >= Care.WORK_FROM_MINUTES;
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
