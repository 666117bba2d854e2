package velvetcrock.api;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Assumed;

/** What was done on the heat, as JSON tells it. */
record HeatOut(List<StintOut> stints, List<FeltOut> felt, List<ExcursionOut> excursions) {

  static HeatOut of(BatchState.Heat heat) {
    return new HeatOut(
        heat.stints().stream().map(StintOut::of).toList(),
        heat.felt().stream().map(f -> new FeltOut(f.at(), f.test())).toList(),
        heat.excursions().stream()
            .map(e -> new ExcursionOut(e.from(), e.to(), e.peakC(), e.ceilingC(), e.answer()))
            .toList());
  }

  /** A time on it. */
  record StintOut(
      Instant on,
      @Nullable Instant off,
      HeaterOut heater,
      List<TurnOut> turns,
      @Nullable BathOut bath,
      @Nullable Instant filledAt) {
    static StintOut of(BatchState.Stint stint) {
      return new StintOut(
          stint.on(),
          stint.off(),
          new HeaterOut(stint.heater().key(), stint.heater().name(), stint.heater().kind()),
          stint.turns().stream().map(TurnOut::of).toList(),
          stint.bath() == null
              ? null
              : new BathOut(
                  stint.bath().name(),
                  stint.bath().depthMm(),
                  stint.bath().lowestMm(),
                  stint.bath().widthMm(),
                  stint.bath().watts()),
          stint.filledAt());
    }
  }

  /** What it stood on. */
  record HeaterOut(@Nullable String key, String name, Appliance kind) {}

  /** A turn of the knob. */
  record TurnOut(Instant at, KnobOut knob) {
    static TurnOut of(BatchState.Turn turn) {
      return new TurnOut(
          turn.at(),
          new KnobOut(turn.knob().name(), turn.knob().settlesC(), turn.knob().settleHours()));
    }
  }

  /** A position of the knob. */
  record KnobOut(String name, @Nullable Double settlesC, @Nullable Double settleHours) {}

  /** A bath of water. */
  record BathOut(String name, double depthMm, double lowestMm, double widthMm, double watts) {}

  /** What a hand felt. */
  record FeltOut(Instant at, Assumed.HandTest test) {}

  /** A stretch above the ceiling. */
  record ExcursionOut(
      Instant from,
      @Nullable Instant to,
      double peakC,
      double ceilingC,
      @Nullable HeatAnswer answer) {}
}
