package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.colour.Rgb;

/** A batch's state as JSON tells it: composed here, all on one level on the wire. */
record BatchStateOut(
    BatchState.Status status,
    ChargeOut charge,
    @JsonUnwrapped JarOut jar,
    HeatOut heat,
    ColoursOut colours,
    @JsonUnwrapped StrainedOut out,
    List<StrainedOut.BottleStateOut> bottles,
    @Nullable Instant endedAt,
    @Nullable Ending endedBecause,
    int corrections,
    int entries) {

  static BatchStateOut of(BatchState state) {
    return new BatchStateOut(
        state.status(),
        ChargeOut.of(state.charge()),
        JarOut.of(state.jar()),
        HeatOut.of(state.heat()),
        ColoursOut.of(state.colours()),
        StrainedOut.of(state),
        state.bottles().stream().map(StrainedOut.BottleStateOut::of).toList(),
        state.endedAt(),
        state.endedBecause(),
        state.corrections(),
        state.entries());
  }

  /** Colours seen, the plain carrier's and the oil's, oldest first. */
  record ColoursOut(@Nullable RgbOut plain, List<ColourSeenOut> seen) {
    static ColoursOut of(BatchState.Colours colours) {
      return new ColoursOut(
          colours.plain() == null ? null : RgbOut.of(colours.plain()),
          colours.seen().stream()
              .map(s -> new ColourSeenOut(s.at(), RgbOut.of(s.colour())))
              .toList());
    }
  }

  /** A colour seen. */
  record ColourSeenOut(Instant at, RgbOut colour) {}

  /** A colour in sRGB, each channel 0–255. */
  record RgbOut(int red, int green, int blue) {
    static RgbOut of(Rgb colour) {
      return new RgbOut(colour.red(), colour.green(), colour.blue());
    }
  }
}
