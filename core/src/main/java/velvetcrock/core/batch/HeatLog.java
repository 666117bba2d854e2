package velvetcrock.core.batch;

import static velvetcrock.core.batch.BatchLog.require;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState.Excursion;
import velvetcrock.core.batch.BatchState.Felt;
import velvetcrock.core.batch.BatchState.Heat;
import velvetcrock.core.batch.BatchState.Stint;
import velvetcrock.core.batch.BatchState.Turn;
import velvetcrock.core.heat.Assumed;

/** Folds what is done on the heat. */
final class HeatLog {
  private final List<Stint> stints = new ArrayList<>();
  private final List<Felt> felt = new ArrayList<>();
  private final List<Excursion> excursions = new ArrayList<>();

  void putOn(PutOnHeat event, Instant at) {
    require(!on(), "kind", "It is on the heat already. Take it off first.");
    stints.add(
        new Stint(
            at,
            null,
            event.heater(),
            List.of(new Turn(at, event.knob())),
            event.bath(),
            event.bath() == null ? null : at));
  }

  void turned(Knob knob, Instant at) {
    change(current().turned(new Turn(at, knob)));
  }

  void takenOff(Instant at) {
    change(current().ended(at));
  }

  void filled(Instant at) {
    require(current().bath() != null, "kind", "It stands in no water bath.");
    change(current().filled(at));
  }

  void felt(Assumed.HandTest test, Instant at) {
    felt.add(new Felt(at, test));
  }

  void ranHot(RanHot event) {
    excursions.add(new Excursion(event.from(), event.to(), event.peakC(), event.ceilingC(), null));
  }

  /** Ends a time on the heat, if there is one: strained or thrown out, it is off. */
  void end(Instant at) {
    if (on()) {
      change(current().ended(at));
    }
  }

  Heat heat() {
    return new Heat(stints, felt, excursions);
  }

  private boolean on() {
    return !stints.isEmpty() && stints.get(stints.size() - 1).off() == null;
  }

  private Stint current() {
    if (!on()) {
      throw new Refused("kind", "It is not on the heat.");
    }
    return stints.get(stints.size() - 1);
  }

  private void change(Stint to) {
    stints.set(stints.size() - 1, to);
  }

  void answered(HeatAnswered event) {
    for (int i = 0; i < excursions.size(); i++) {
      Excursion hot = excursions.get(i);
      if (hot.from().equals(event.from())) {
        excursions.set(
            i, new Excursion(hot.from(), hot.to(), hot.peakC(), hot.ceilingC(), event.answer()));
        return;
      }
    }
    throw new Refused("from", "There is no such time above the ceiling in this log.");
  }
}
