package velvetcrock.core.log;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.keeping.Store;

/**
 * A bottle as it stands.
 *
 * @param leftMl what is left, ml
 * @param halfAt when it was first half empty, if it is
 * @param goneAt when it came to its end, if it has
 */
public record BottleState(
    Event.BottleIn filled,
    double leftMl,
    boolean capped,
    Instant filledAt,
    @Nullable Instant halfAt,
    @Nullable Instant goneAt,
    Event.@Nullable Reason goneBecause) {

  /** Share of its size at which it counts as half empty. */
  private static final double HALF = 0.5;

  static BottleState filled(Event.BottleIn bottle, Instant at) {
    boolean half = bottle.ml() <= HALF * bottle.sizeMl();
    return new BottleState(
        bottle, bottle.ml(), bottle.cappedCold(), at, half ? at : null, null, null);
  }

  BottleState drawn(double ml, Instant at) {
    double left = Math.max(0, leftMl - ml);
    boolean empty = left < 0.5;
    Instant half = halfAt == null && left <= HALF * filled.sizeMl() ? at : halfAt;
    return new BottleState(
        filled,
        empty ? 0 : left,
        capped,
        filledAt,
        half,
        empty ? at : null,
        empty ? Event.Reason.USED_UP : null);
  }

  BottleState cappedNow() {
    return new BottleState(filled, leftMl, true, filledAt, halfAt, goneAt, goneBecause);
  }

  BottleState gone(Event.Reason reason, Instant at) {
    return new BottleState(filled, leftMl, capped, filledAt, halfAt, at, reason);
  }

  /** Its letter. */
  public String letter() {
    return filled.letter();
  }

  /** How it stands now. */
  public Store store() {
    Store.Fill fill = halfAt == null ? Store.Fill.FULL : Store.Fill.HALF;
    return new Store(filled.place(), filled.glass(), fill, filled.antioxidant());
  }
}
