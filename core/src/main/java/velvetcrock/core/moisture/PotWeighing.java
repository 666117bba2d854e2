package velvetcrock.core.moisture;

import static velvetcrock.core.Figures.plain;

import java.util.List;
import java.util.OptionalDouble;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;

/**
 * A pot of fresh herb in oil on gentle heat, weighed with its vessel: it counts as driven dry when
 * the herb is down to 0.12 water, the share that is bound and does not go into the oil.
 *
 * @param waterG water that the herb brought, g
 * @param shareToLose share of it that has to leave: 1 − (1 − M)·0.12/(0.88·M)
 * @param targetG what pot and all weigh then, g
 * @param drivenShare share of what has to leave that has left, 0–1
 * @param dry whether it counts as driven dry
 * @param hoursLeft to the target at the pace of the last two weighings, h; empty if they do not
 *     fall
 */
public record PotWeighing(
    double waterG,
    double shareToLose,
    double targetG,
    double drivenShare,
    boolean dry,
    OptionalDouble hoursLeft,
    Reckoning reckoning) {

  private static final double BOUND_WATER = 0.12;

  /**
   * Judges the weighings.
   *
   * @param herbG fresh herb in the pot, g
   * @param waterFraction its water content, wet basis, above 0.12
   * @param startG pot and all at the beginning, g, more than the herb
   * @param weighings pot and all later, in order of time
   * @throws velvetcrock.core.Refused at the field that cannot be
   */
  public static PotWeighing of(
      double herbG, double waterFraction, double startG, List<DryingCurve.Weighing> weighings) {
    Problems problems = new Problems();
    Moisture.check(problems, "herbG", herbG);
    Moisture.checkFraction(problems, "waterFraction", waterFraction);
    problems.require(
        waterFraction > BOUND_WATER, "waterFraction", "At 0.12 and below it is dry already.");
    problems.require(startG > herbG, "startG", "Pot and oil weigh something as well.");
    double before = 0;
    for (int i = 0; i < weighings.size(); i++) {
      String at = "weighings[" + i + "]";
      problems.require(
          weighings.get(i).hours() > before, at + ".hours", "Weighings go forward in time.");
      problems.require(
          weighings.get(i).massG() <= startG && weighings.get(i).massG() > startG - herbG,
          at + ".massG",
          "It weighs at most what it did at first, and cannot have lost all of the herb.");
      before = weighings.get(i).hours();
    }
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double water =
        lines.line(
            "Water brought",
            plain(herbG) + " g × " + plain(waterFraction),
            herbG * waterFraction,
            "g",
            Standing.TYPICAL);
    double share =
        lines.line(
            "Has to leave",
            "1 − (1 − M) · 0.12 ÷ (0.88 · M) of it",
            1 - (1 - waterFraction) * BOUND_WATER / ((1 - BOUND_WATER) * waterFraction),
            "",
            Standing.TYPICAL);
    double target =
        lines.line(
            "Dry when it weighs",
            plain(startG) + " g − " + plain(share * water) + " g",
            startG - share * water,
            "g",
            Standing.TYPICAL);
    double now = weighings.isEmpty() ? startG : weighings.get(weighings.size() - 1).massG();
    double driven = Math.min(1, (startG - now) / (share * water));
    lines.line("Driven off so far", "of what has to leave", driven, "", Standing.MEASURED);
    return new PotWeighing(
        water,
        share,
        target,
        driven,
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
