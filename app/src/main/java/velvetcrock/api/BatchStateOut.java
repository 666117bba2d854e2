package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Method;

/** A batch's state as JSON tells it: composed here, all on one level on the wire. */
record BatchStateOut(
    BatchState.Status status,
    ChargeOut charge,
    @JsonUnwrapped BatchState.InJar jar,
    BatchState.Heat heat,
    BatchState.Colours colours,
    @JsonUnwrapped Out out,
    List<BottleState> bottles,
    @Nullable Instant endedAt,
    @Nullable Ending endedBecause,
    int corrections,
    int entries) {

  /** What went into the jar. */
  record ChargeOut(
      Method method,
      List<HerbIn> herbs,
      List<OilIn> carriers,
      @JsonUnwrapped Charged.Oil oil,
      JarIn jar,
      double coverMm,
      Use use,
      Stand stand,
      @JsonUnwrapped Charged.Begun begun,
      boolean cleanAndDry,
      Manner manner) {
    static ChargeOut of(Charged charge) {
      return new ChargeOut(
          charge.method(),
          charge.herbs(),
          charge.carriers(),
          charge.oil(),
          charge.jar(),
          charge.coverMm(),
          charge.use(),
          charge.stand(),
          charge.begun(),
          charge.cleanAndDry(),
          charge.manner());
    }
  }

  /** What came out of the cloth; nothing in it before it is strained. */
  record Out(
      @Nullable Instant strainedAt,
      @Nullable Strained strained,
      BatchState.Remains remains,
      double usedMl) {}

  static BatchStateOut of(BatchState state) {
    return new BatchStateOut(
        state.status(),
        ChargeOut.of(state.charge()),
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
