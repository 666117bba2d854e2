package velvetcrock.core.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.keeping.Store;

/**
 * A bottle as it stands.
 *
 * @param leftMl what is left, ml
 * @param halfAt when it was first half empty, if it ever was
 * @param goneAt when it came to its end, if it has
 * @param openedAt when it was opened or first drawn from; null while it is shut
 * @param stays how it has stood since it was filled, oldest first; the last is how it stands
 * @param checked how it was when it was last smelled at; null if nobody has
 */
public record BottleState(
    BottleIn filled,
    double leftMl,
    boolean capped,
    Instant filledAt,
    @Nullable Instant halfAt,
    @Nullable Instant goneAt,
    @Nullable Ending goneBecause,
    @Nullable Instant openedAt,
    List<Stay> stays,
    @Nullable Check checked) {

  /** Share of its size at which it counts as half empty. */
  private static final double HALF = 0.5;

  private static final double EMPTY_ML = 0.5;

  /**
   * How it stood from a moment on.
   *
   * @param sizeMl what the bottle holds, ml
   * @param opened whether it had been opened
   */
  public record Stay(Instant from, Store store, double sizeMl, boolean opened) {}

  /** How it was found. */
  public record Check(Instant at, BottleChecked found) {}

  /** Fills in what states written by earlier versions do not say. */
  public BottleState {
    stays = stays == null ? before(filled, filledAt, halfAt) : List.copyOf(stays);
  }

  private static List<Stay> before(BottleIn filled, Instant filledAt, @Nullable Instant halfAt) {
    Stay full = new Stay(filledAt, store(filled, Store.Fill.FULL), filled.sizeMl(), false);
    return halfAt == null
        ? List.of(full)
        : List.of(full, new Stay(halfAt, full.store().at(Store.Fill.HALF), full.sizeMl(), true));
  }

  /** When it was filled. */
  public Instant filledAt() {
    return stays.get(0).from();
  }

  /** Freshly filled. */
  public static BottleState filled(BottleIn bottle, Instant at) {
    boolean half = bottle.ml() <= HALF * bottle.sizeMl();
    Store store = store(bottle, half ? Store.Fill.HALF : Store.Fill.FULL);
    return new BottleState(
        bottle,
        bottle.ml(),
        bottle.cappedCold(),
        at,
        half ? at : null,
        null,
        null,
        null,
        List.of(new Stay(at, store, bottle.sizeMl(), false)),
        null);
  }

  private static Store store(BottleIn bottle, Store.Fill fill) {
    return new Store(bottle.place(), bottle.glass(), fill, bottle.antioxidant());
  }

  BottleState drawn(double ml, Instant at) {
    double left = Math.max(0, leftMl - ml);
    boolean empty = left < EMPTY_ML;
    BottleState drawn =
        with(
            empty ? 0 : left,
            capped,
            empty ? at : null,
            empty ? Ending.USED_UP : null,
            openedAt == null ? at : openedAt,
            stays,
            checked);
    return drawn.standing(at, store(), sizeMl());
  }

  /** Some that was drawn came back; a bottle that it had emptied stands again. */
  BottleState givenBack(double ml, Instant at) {
    return with(leftMl + ml, capped, null, null, openedAt, stays, checked)
        .standing(at, store(), sizeMl());
  }

  BottleState opened(Instant at) {
    return openedAt != null
        ? this
        : with(leftMl, capped, goneAt, goneBecause, at, stays, checked)
            .standing(at, store(), sizeMl());
  }

  BottleState stood(BottleStood how, Instant at) {
    Store store = new Store(how.place(), how.glass(), Store.Fill.FULL, how.antioxidant());
    return standing(at, store, how.sizeMl());
  }

  /** Another stay, if anything about it is new. */
  private BottleState standing(Instant at, Store store, double sizeMl) {
    boolean half = leftMl <= HALF * sizeMl;
    Store now = store.at(half ? Store.Fill.HALF : Store.Fill.FULL);
    Stay next = new Stay(at, now, sizeMl, openedAt != null);
    Stay last = stays.get(stays.size() - 1);
    boolean same =
        last.store().equals(now) && last.sizeMl() == sizeMl && last.opened() == next.opened();
    List<Stay> all = new ArrayList<>(stays);
    if (!same) {
      all.add(next);
    }
    return new BottleState(
        filled,
        leftMl,
        capped,
        filledAt,
        halfAt == null && half ? at : halfAt,
        goneAt,
        goneBecause,
        openedAt,
        all,
        checked);
  }

  BottleState cappedNow() {
    return with(leftMl, true, goneAt, goneBecause, openedAt, stays, checked);
  }

  BottleState checked(BottleChecked found, Instant at) {
    return with(leftMl, capped, goneAt, goneBecause, openedAt, stays, new Check(at, found));
  }

  BottleState gone(Ending reason, Instant at) {
    return with(leftMl, capped, at, reason, openedAt, stays, checked);
  }

  private BottleState with(
      double left,
      boolean cap,
      @Nullable Instant gone,
      @Nullable Ending because,
      @Nullable Instant opened,
      List<Stay> stood,
      @Nullable Check check) {
    return new BottleState(
        filled, left, cap, filledAt, halfAt, gone, because, opened, stood, check);
  }

  /** Its letter. */
  public String letter() {
    return filled.letter();
  }

  /** How it stands now. */
  public Store store() {
    return stays.get(stays.size() - 1).store();
  }

  /** What it holds now, ml. */
  public double sizeMl() {
    return stays.get(stays.size() - 1).sizeMl();
  }

  /** Whether what was last smelled or seen means that it is lost. */
  public boolean spoiled() {
    return checked != null && !checked.found().good();
  }
}
