package velvetcrock.core.moisture;

import static velvetcrock.core.Figures.plain;

import java.util.List;
import java.util.OptionalDouble;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;

/**
 * A vessel put on the scale, contents and all, until what has to leave it has left: the water of a
 * fresh herb, or spirit and its water. Whatever the weight loses has gone off as vapour, because
 * oil and herb stay.
 *
 * @param mustLeaveG what has to leave, g
 * @param targetG what vessel and all weigh when it has, g
 * @param goneShare share of it that has left, 0–1
 * @param done whether all of it has
 * @param hoursLeft to the target at the pace of the last two weighings, h; empty where they do not
 *     fall
 */
public record WeighingDown(
    double mustLeaveG,
    double targetG,
    double goneShare,
    boolean done,
    OptionalDouble hoursLeft,
    Reckoning reckoning) {

  private static final double SCALE_G = 0.5;

  /**
   * Judges the weighings.
   *
   * @param mustLeaveG what has to leave, g, above 0
   * @param contentsG everything that could ever leave, g: no weighing can lose more
   * @param startG vessel and all at the beginning, g, more than the contents
   * @param weighings vessel and all later, in order of time
   * @throws velvetcrock.core.Refused at {@code startG}, {@code weighings[i].hours} or {@code
   *     weighings[i].massG}
   */
  public static WeighingDown of(
      double mustLeaveG, double contentsG, double startG, List<DryingCurve.Weighing> weighings) {
    Problems problems = new Problems();
    problems.require(startG > contentsG, "startG", "Pot and oil weigh something as well.");
    double before = 0;
    for (int i = 0; i < weighings.size(); i++) {
      String at = "weighings[" + i + "]";
      DryingCurve.Weighing weighing = weighings.get(i);
      problems.require(weighing.hours() > before, at + ".hours", "Weighings go forward in time.");
      problems.require(
          weighing.massG() <= startG + SCALE_G,
          at + ".massG",
          () -> "It weighed " + plain(startG) + " g at first, and nothing has been added since.");
      problems.require(
          weighing.massG() > startG - contentsG,
          at + ".massG",
          () ->
              "It cannot have lost more than " + plain(contentsG) + " g. Check scale and vessel.");
      before = weighing.hours();
    }
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double target =
        lines.line(
            "Dry when it weighs",
            plain(startG) + " g − " + plain(mustLeaveG) + " g",
            startG - mustLeaveG,
            "g",
            Standing.TYPICAL);
    double now = weighings.isEmpty() ? startG : weighings.get(weighings.size() - 1).massG();
    double gone = Math.max(0, Math.min(1, (startG - now) / mustLeaveG));
    lines.line("Driven off so far", "of what has to leave", gone, "", Standing.MEASURED);
    return new WeighingDown(
        mustLeaveG,
        target,
        gone,
        now <= target,
        now <= target ? OptionalDouble.of(0) : hoursLeft(startG, weighings, target),
        lines.done());
  }

  private static OptionalDouble hoursLeft(
      double startG, List<DryingCurve.Weighing> weighings, double targetG) {
    if (weighings.isEmpty()) {
      return OptionalDouble.empty();
    }
    DryingCurve.Weighing last = weighings.get(weighings.size() - 1);
    DryingCurve.Weighing before =
        weighings.size() > 1
            ? weighings.get(weighings.size() - 2)
            : new DryingCurve.Weighing(0, startG);
    double gPerHour = (before.massG() - last.massG()) / (last.hours() - before.hours());
    return gPerHour <= 0
        ? OptionalDouble.empty()
        : OptionalDouble.of((last.massG() - targetG) / gPerHour);
  }
}
