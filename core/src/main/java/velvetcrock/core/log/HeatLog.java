package velvetcrock.core.log;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Refused;
import velvetcrock.core.log.BatchState.Excursion;
import velvetcrock.core.log.BatchState.Felt;
import velvetcrock.core.log.BatchState.Heat;
import velvetcrock.core.log.BatchState.Stint;
import velvetcrock.core.log.BatchState.Turn;

/** Folds what is done on the heat. */
final class HeatLog {
  private final List<Stint> stints = new ArrayList<>();
  private final List<Felt> felt = new ArrayList<>();
  private final List<Excursion> excursions = new ArrayList<>();

  /**
   * Takes an event of the heat.
   *
   * @return whether it was one
   * @throws Refused if it could not have happened
   */
  boolean take(Event event, Instant at) {
    if (event instanceof Event.PutOnHeat e) {
      if (on()) {
        throw new Refused("kind", "It is on the heat already. Take it off first.");
      }
      stints.add(
          new Stint(
              at,
              null,
              e.heater(),
              List.of(new Turn(at, e.knob())),
              e.bath(),
              e.bath() == null ? null : at));
    } else if (event instanceof Event.KnobTurned e) {
      change(current().turned(new Turn(at, e.knob())));
    } else if (event instanceof Event.TakenOffHeat) {
      change(current().ended(at));
    } else if (event instanceof Event.BathToppedUp) {
      if (current().bath() == null) {
        throw new Refused("kind", "It stands in no water bath.");
      }
      change(current().filled(at));
    } else if (event instanceof Event.FeltByHand e) {
      felt.add(new Felt(at, e.test()));
    } else if (event instanceof Event.RanHot e) {
      excursions.add(new Excursion(e.from(), e.to(), e.peakC(), e.ceilingC(), null));
    } else if (event instanceof Event.HeatAnswered e) {
      answered(e);
    } else {
      return false;
    }
    return true;
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

  private void answered(Event.HeatAnswered event) {
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
