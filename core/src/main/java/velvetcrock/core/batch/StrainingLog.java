package velvetcrock.core.batch;

import static velvetcrock.core.batch.BatchLog.require;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Folds what came out of the cloth, and what became of it where it is in no bottle. */
final class StrainingLog {
  static final double DRAW_TOLERANCE_ML = 0.5;

  private @Nullable Instant at;
  private @Nullable Strained strained;
  private BatchState.Remains remains = BatchState.Remains.none();
  private double usedMl;

  BatchState.@Nullable Out state() {
    return strained == null ? null : new BatchState.Out(at, strained, remains, usedMl);
  }

  @Nullable Strained strained() {
    return strained;
  }

  double usedMl() {
    return usedMl;
  }

  /**
   * What is in no bottle, ml.
   *
   * @param filledMl what bottles were filled with
   */
  double leftMl(double filledMl) {
    return strained == null ? 0 : strained.oilMl() - usedMl - filledMl;
  }

  void strained(Strained event, Instant when) {
    strained = event;
    at = when;
  }

  void marc(double massG) {
    remains = remains.marc(massG);
  }

  void left(Decanted event) {
    remains = remains.left(event);
  }

  void clear() {
    remains = remains.clear();
  }

  void drawn(double ml, double filledMl) {
    require(ml > 0, "amount", "A draw is above 0.");
    double left = leftMl(filledMl);
    require(
        ml <= left + DRAW_TOLERANCE_ML,
        "amount",
        Math.round(Math.max(0, left)) + " ml of it are in no bottle.");
    usedMl += ml;
  }

  void givenBack(double ml) {
    require(ml <= usedMl + DRAW_TOLERANCE_ML, "amount", "Less than that was used.");
    usedMl = Math.max(0, usedMl - ml);
  }
}
