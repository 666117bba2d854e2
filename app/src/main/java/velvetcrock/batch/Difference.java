package velvetcrock.batch;

import java.util.Objects;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.yield.Yield;
import velvetcrock.web.Formats;

/**
 * What came out against what was predicted, and why they may differ.
 *
 * @param outPercent what came out, as a share of what went in, for the drawing
 * @param keptPercent what marc and film kept, as a share of what went in
 */
record Difference(
    String cameOut,
    String predicted,
    String kept,
    String verdict,
    String why,
    int outPercent,
    int keptPercent) {

  static Difference of(BatchState state, Catalogue catalogue, Formats fmt) {
    Strained strained = Objects.requireNonNull(state.strained());
    double out = strained.oilMl();
    double in = state.oilMl().middle();
    Range predicted = strained.predictedMl();
    Yield yield = new BatchReckoning(catalogue, state).yield(strained.expression());
    double kept = Math.max(0, in - out);
    int outPercent = (int) Math.round(100 * Math.min(1, out / in));
    return new Difference(
        fmt.ml(out),
        fmt.ml(predicted),
        fmt.ml(kept)
            + " stayed behind: "
            + fmt.ml(yield.keptByMarcMl())
            + " in the spent herb (marc) and "
            + fmt.ml(yield.filmMl())
            + " on vessels were reckoned with",
        verdict(out, predicted, fmt),
        why(out, predicted),
        outPercent,
        100 - outPercent);
  }

  private static String verdict(double out, Range predicted, Formats fmt) {
    if (out < predicted.low()) {
      return fmt.ml(predicted.low() - out) + " less than the least expected";
    }
    return out > predicted.high()
        ? fmt.ml(out - predicted.high()) + " more than the most expected"
        : "As expected";
  }

  private static String why(double out, Range predicted) {
    if (out < predicted.low()) {
      return "Likely: the spent herb was not squeezed as hard as said, oil stayed in cloth and filter, or less went in than was"
          + " logged. Squeeze or hang it once more before the herb is thrown out.";
    }
    return out > predicted.high()
        ? "Likely: it was squeezed harder than said, a top-up was not logged, or fine herb came through with the oil. Let it"
            + " settle overnight and decant."
        : "Spent herb and film kept about what they usually do.";
  }
}
