package velvetcrock.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.web.Formats;

/**
 * What was decided of leaving a jar as it is.
 *
 * @param left until when and why, and how it stands; may be empty
 * @param byHours whether it counts hours on the heat, else days
 * @param floats whether its herb floats, so that turning it is what helps
 */
record LeaveView(String left, boolean byHours, boolean floats) {
  static LeaveView of(BatchState state, BatchReckoning reckoning, Formats fmt) {
    List<String> said = new ArrayList<>();
    BatchState.Left left = state.left();
    if (left != null && left.until().isAfter(fmt.now())) {
      said.add(
          "Left until "
              + fmt.until(left.until())
              + (left.why().isEmpty() ? "." : ", because “" + left.why() + "”."));
    }
    Instant onItsLid = state.tended().onItsLidUntil();
    if (onItsLid != null) {
      said.add("It stands on its lid until " + fmt.date(fmt.date(onItsLid)) + ".");
    }
    return new LeaveView(
        String.join(" ", said),
        reckoning.window(fmt.zone()).byHours(),
        onItsLid == null && Boolean.TRUE.equals(state.seen().floating()));
  }
}
