package velvetcrock.core.log;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a log says of its batch.
 *
 * @param stays where the jar has stood, oldest first; the last is where it stands
 * @param toppedUpMl oil added since charging, ml
 * @param seen what was last seen and smelled
 * @param tended when it was last tended
 * @param strained the straining, if it has been
 * @param bottles its bottles, in the order in which they were filled
 * @param corrections how many entries replace another
 * @param entries how many entries there are
 */
public record BatchState(
    Status status,
    Event.Charged charge,
    List<Stay> stays,
    double toppedUpMl,
    Observations seen,
    Tending tended,
    @Nullable Instant strainedAt,
    Event.@Nullable Strained strained,
    List<BottleState> bottles,
    @Nullable Instant endedAt,
    Event.@Nullable Reason endedBecause,
    int corrections,
    int entries) {

  /** Where in its life a batch is. */
  public enum Status {
    /** In the jar. */
    INFUSING,
    /** Strained and not yet bottled. */
    STRAINED,
    /** In bottles. */
    BOTTLED,
    /** Every bottle at its end. */
    FINISHED,
    /** Thrown out before it was strained. */
    THROWN_OUT
  }

  /** A stay in one place from a time on. */
  public record Stay(Instant from, Event.Stand stand) {}

  /** When it was last tended, and how often it was shaken. */
  public record Tending(
      @Nullable Instant shakenAt,
      @Nullable Instant turnedAt,
      @Nullable Instant lookedAt,
      @Nullable Instant smelledAt,
      @Nullable Instant toppedUpAt,
      int shakes) {
    static Tending none() {
      return new Tending(null, null, null, null, null, 0);
    }
  }

  /** Whether the jar still stands on the shelf. */
  public boolean standing() {
    return status == Status.INFUSING || status == Status.STRAINED;
  }

  /** Where the jar stands, or last stood. */
  public Event.Stand stand() {
    return stays.get(stays.size() - 1).stand();
  }

  /** Days since charging, by the household's calendar; 0 on the day itself. */
  public long day(LocalDate today) {
    return ChronoUnit.DAYS.between(charge.chargedOn(), today);
  }

  /** First day on which it may be strained. */
  public LocalDate earliest() {
    return charge.chargedOn().plusDays(charge.method().earliestDays());
  }

  /** Day on which it usually is strained. */
  public LocalDate usual() {
    return charge.chargedOn().plusDays(charge.method().usualDays());
  }

  /** Last day of its window. */
  public LocalDate latest() {
    return charge.chargedOn().plusDays(charge.method().latestDays());
  }

  /** A bottle by its letter. */
  public Optional<BottleState> bottle(String letter) {
    return bottles.stream().filter(b -> b.letter().equals(letter)).findFirst();
  }

  /** Oil strained and not yet in a bottle, ml; 0 before straining. */
  public double unbottledMl() {
    if (strained == null) {
      return 0;
    }
    double bottled = bottles.stream().mapToDouble(b -> b.filled().ml()).sum();
    return Math.max(0, strained.oilMl() - bottled);
  }
}
