package velvetcrock.core.batch;

import static velvetcrock.core.batch.BatchLog.require;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;

/** Folds what happens to the bottles of a batch. */
final class BottlesLog {
  /** Bottles may hold this much more than was strained, for rounding at the measuring jug. */
  private static final double FILL_TOLERANCE = 1.02;

  private final List<BottleState> bottles = new ArrayList<>();

  List<BottleState> all() {
    return List.copyOf(bottles);
  }

  boolean none() {
    return bottles.isEmpty();
  }

  boolean allGone() {
    return bottles.stream().allMatch(b -> b.goneAt() != null);
  }

  /** What they were filled with, ml. */
  double filledMl() {
    return bottles.stream().mapToDouble(b -> b.filled().ml()).sum();
  }

  void fill(Bottled event, Instant at, double strainedMl, double usedMl) {
    require(!event.bottles().isEmpty(), "bottles", "Fill at least one bottle.");
    Problems problems = new Problems();
    double total = filledMl() + usedMl;
    for (int i = 0; i < event.bottles().size(); i++) {
      BottleIn bottle = event.bottles().get(i);
      total += bottle.ml();
      String field = "bottles[" + i + "].amount";
      problems.require(bottle.ml() > 0, field, "A bottle holds more than nothing.");
      problems.require(
          bottle.ml() <= bottle.sizeMl() * FILL_TOLERANCE,
          field,
          "That is more than this bottle holds.");
      problems.require(
          bottles.stream().noneMatch(b -> b.letter().equals(bottle.letter())),
          field,
          "There is a bottle " + bottle.letter() + " already.");
    }
    problems.require(
        total <= strainedMl * FILL_TOLERANCE,
        "bottles[" + (event.bottles().size() - 1) + "].amount",
        "Together that is "
            + Math.round(total)
            + " ml, and "
            + Math.round(strainedMl)
            + " ml were strained.");
    problems.refuseIfAny();
    event.bottles().forEach(b -> bottles.add(BottleState.filled(b, at)));
  }

  void cap() {
    require(!bottles.isEmpty(), "kind", "There is no bottle to cap yet.");
    bottles.replaceAll(BottleState::cappedNow);
  }

  void drawn(Drawn event, Instant at) {
    int index = index(event.bottle());
    BottleState bottle = bottles.get(index);
    require(event.ml() > 0, "amount", "A draw is above 0.");
    require(
        event.ml() <= bottle.leftMl() + StrainingLog.DRAW_TOLERANCE_ML,
        "amount",
        "Bottle " + event.bottle() + " has " + Math.round(bottle.leftMl()) + " ml left.");
    bottles.set(index, bottle.drawn(event.ml(), at));
  }

  void stood(BottleStood event, Instant at) {
    int index = index(event.bottle());
    BottleState bottle = bottles.get(index);
    require(
        bottle.leftMl() <= event.sizeMl() * FILL_TOLERANCE,
        "size",
        "That is less than the " + Math.round(bottle.leftMl()) + " ml that are left.");
    bottles.set(index, bottle.stood(event, at));
  }

  void opened(String letter, Instant at) {
    int index = index(letter);
    bottles.set(index, bottles.get(index).opened(at));
  }

  void checked(BottleChecked event, Instant at) {
    int index = index(event.bottle());
    bottles.set(index, bottles.get(index).checked(event, at));
  }

  void gone(BottleGone event, Instant at) {
    int index = index(event.bottle());
    bottles.set(index, bottles.get(index).gone(event.reason(), at));
  }

  void givenBack(String letter, double ml, Instant at) {
    int index = anyIndex(letter);
    BottleState bottle = bottles.get(index);
    require(
        bottle.goneAt() == null || bottle.goneBecause() == Ending.USED_UP,
        "bottle",
        "Bottle " + letter + " is gone.");
    require(
        bottle.leftMl() + ml <= bottle.sizeMl() * FILL_TOLERANCE,
        "amount",
        "Bottle " + letter + " does not hold that much more.");
    bottles.set(index, bottle.givenBack(ml, at));
  }

  private int index(String letter) {
    int index = anyIndex(letter);
    require(
        bottles.get(index).goneAt() == null, "bottle", "Bottle " + letter + " is gone already.");
    return index;
  }

  private int anyIndex(String letter) {
    for (int i = 0; i < bottles.size(); i++) {
      if (bottles.get(i).letter().equals(letter)) {
        return i;
      }
    }
    throw new Refused("bottle", "There is no bottle " + letter + " of this batch.");
  }
}
