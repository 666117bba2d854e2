package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.Strained;

/** A batch's state as JSON tells it: composed here, all on one level on the wire. */
record BatchStateOut(
    BatchState.Status status,
    Charged charge,
    @JsonUnwrapped BatchState.InJar jar,
    BatchState.Heat heat,
    BatchState.Colours colours,
    @JsonUnwrapped Out out,
    List<BottleState> bottles,
    @Nullable Instant endedAt,
    @Nullable Ending endedBecause,
    int corrections,
    int entries) {

  /** What came out of the cloth; nothing in it before it is strained. */
  record Out(
      @Nullable Instant strainedAt,
      @Nullable Strained strained,
      BatchState.Remains remains,
      double usedMl) {}

  static BatchStateOut of(BatchState state) {
    return new BatchStateOut(
        state.status(),
        state.charge(),
        state.jar(),
        state.heat(),
        state.colours(),
        new Out(state.strainedAt(), state.strained(), state.remains(), state.usedMl()),
        state.bottles(),
        state.endedAt(),
        state.endedBecause(),
        state.corrections(),
        state.entries());
  }
}
