package velvetcrock.core.log;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;

/**
 * What a log says of its batch.
 *
 * @param stays where the jar has stood, oldest first; the last is where it stands
 * @param vessel what it stands in now
 * @param transfers how often it changed vessels
 * @param rest how the rest in spirit goes or went; null where there is none
 * @param weighings vessel and all as weighed since the oil went in, oldest first
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
    Event.JarIn vessel,
    int transfers,
    @Nullable Rest rest,
    List<Weighed> weighings,
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

  /** Fills in what states written by earlier versions do not say. */
  public BatchState {
    vessel = vessel == null ? charge.jar() : vessel;
    weighings = weighings == null ? List.of() : List.copyOf(weighings);
  }

  /** Where in its life a batch is. */
  public enum Status {
    /** Dampened with spirit and resting, before the oil. */
    RESTING,
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

  /**
   * A rest in spirit.
   *
   * @param since when the herb was dampened
   * @param even whether it was last seen evenly damp; null if nobody has looked
   * @param pouredAt when the oil followed; null while it rests
   * @param pouredMl how much oil followed, ml; 0 while it rests
   */
  public record Rest(
      Instant since, @Nullable Boolean even, @Nullable Instant pouredAt, double pouredMl) {}

  /**
   * Vessel and all on the scale.
   *
   * @param grossG what they weighed, g
   * @param toppedUpMl oil that had been topped up by then, ml
   * @param vessel how often it had changed vessels by then
   */
  public record Weighed(Instant at, double grossG, double toppedUpMl, int vessel) {}

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
    return status == Status.RESTING || status == Status.INFUSING || status == Status.STRAINED;
  }

  /** Oil that has gone in so far, or is meant to after the rest, with all top-ups; ml. */
  public Range oilMl() {
    Range first =
        rest != null && rest.pouredAt() != null ? Range.exactly(rest.pouredMl()) : charge.oilMl();
    return first.plus(Range.exactly(toppedUpMl));
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
