package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Reckoning;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.Leaving;
import velvetcrock.core.jar.DrySigns;
import velvetcrock.core.moisture.WeighingDown;
import velvetcrock.web.Coordinates;
import velvetcrock.web.Formats;

/**
 * Water or spirit on its way out, by the scale.
 *
 * @param title what is leaving
 * @param lead how far it is
 * @param detail the target and when it is reached
 * @param percent how much has gone, in hundredths of what has to
 * @param done whether all of it has
 * @param line the weighings as a line in a frame of 300 by 80, from all to nothing left
 * @param dots the weighings as dots on it
 * @param signs what shows it dry where no scale does; empty where it is shown
 * @param weighable whether it still stands in its vessel, so that it can be weighed
 * @param reckoning how the target was found; null before the first weighing
 */
public record LeavingView(
    String title,
    String lead,
    String detail,
    int percent,
    boolean done,
    String line,
    String dots,
    List<SignOfDryness> signs,
    boolean weighable,
    @Nullable Reckoning reckoning) {

  /**
   * A sign that it is dry.
   *
   * @param field where it is ticked
   * @param says what it says so far
   * @param seen whether it shows it dry
   */
  public record SignOfDryness(String field, String name, String says, boolean seen) {}

  private static final double WIDTH = 300;
  private static final double HEIGHT = 80;
  private static final double DOT = 3.5;

  /** How far it is; null where nothing has to leave. */
  public static @Nullable LeavingView of(BatchState state, BatchReckoning reckoning, Formats fmt) {
    if (state.status() == BatchState.Status.RESTING) {
      return null;
    }
    Leaving leaving = reckoning.leaving().orElse(null);
    if (leaving == null) {
      return null;
    }
    boolean spirit = state.charge().manner().spirit() != null;
    double share = Math.min(1, leaving.goneG() / leaving.mustLeaveG());
    String what = spirit ? "spirit and water" : "water";
    List<double[]> points = points(state, leaving);
    return new LeavingView(
        spirit ? "Weighing the spirit out" : "Weighing the water out",
        leaving.done()
            ? leaving.weighedDry()
                ? "Driven dry: all that had to leave has left."
                : "Shown dry by all three signs."
            : fmt.percent(share)
                + " gone, "
                + fmt.g(leaving.leftG())
                + " of "
                + what
                + " still to leave",
        detail(state, leaving, fmt),
        (int) Math.round(100 * share),
        leaving.done(),
        line(points),
        dots(points),
        leaving.done() ? List.of() : signs(leaving.signs(), reckoning.heatGoal(), fmt),
        state.strained() == null,
        leaving.now().map(WeighingDown::reckoning).orElse(null));
  }

  private static List<SignOfDryness> signs(DrySigns signs, HeatGoal goal, Formats fmt) {
    double from = DrySigns.countsFromC(goal);
    return List.of(
        sign(
            "still",
            "No bubble for 20 minutes at "
                + fmt.degrees(from)
                + " or more"
                + (from < DrySigns.HOT_C ? ", after hours enough" : ""),
            signs.still(),
            "bubbles rise"),
        sign("crispNow", "The herb is crisp", signs.crisp(), "it is soft"),
        sign(
            "clear",
            "No water and no haze under the oil after a night",
            signs.clear(),
            "water or a haze was seen"));
  }

  private static SignOfDryness sign(String field, String name, DrySigns.Says says, String against) {
    return new SignOfDryness(
        field,
        name,
        switch (says) {
          case UNSEEN -> "not looked at yet";
          case NO -> against;
          case SAYS_NOTHING -> "seen, but in oil too cool, or not hot for long enough, to count";
          case YES -> "seen";
        },
        says == DrySigns.Says.YES);
  }

  private static String detail(BatchState state, Leaving leaving, Formats fmt) {
    WeighingDown now = leaving.now().orElse(null);
    String brought =
        "It brought "
            + fmt.g(leaving.mustLeaveG())
            + " that has to leave; what is water of it is "
            + fmt.number(leaving.waterPercentOfOil(), 1)
            + " % of the oil, and oil holds about 0.1 %.";
    if (leaving.done() || state.strained() != null) {
      return brought;
    }
    if (now == null) {
      return brought + " Put vessel and all on the scale for a start.";
    }
    BatchState.Weighed last = state.weighings().get(state.weighings().size() - 1);
    String forecast =
        now.hoursLeft().isPresent()
            ? " At this pace in about " + fmt.hours(now.hoursLeft().getAsDouble()) + "."
            : state.weighings().size() > 1 ? " It has stopped losing: more warmth or air." : "";
    return brought
        + " It weighs "
        + fmt.gram(last.grossG())
        + " and is dry at "
        + fmt.gram(now.targetG())
        + "."
        + forecast;
  }

  /** Share still to leave against time, both 0–1. */
  private static List<double[]> points(BatchState state, Leaving leaving) {
    List<BatchState.Weighed> all = state.weighings();
    List<double[]> points = new ArrayList<>();
    if (all.size() < 2) {
      return points;
    }
    double from = all.get(0).at().toEpochMilli();
    double span = Math.max(1, all.get(all.size() - 1).at().toEpochMilli() - from);
    double first = all.get(0).grossG();
    for (BatchState.Weighed weighed : all) {
      double left = 1 - (first - weighed.grossG()) / leaving.mustLeaveG();
      points.add(
          new double[] {
            (weighed.at().toEpochMilli() - from) / span, Math.max(0, Math.min(1, left))
          });
    }
    return points;
  }

  private static String line(List<double[]> points) {
    StringBuilder path = new StringBuilder();
    for (double[] point : points) {
      path.append(path.isEmpty() ? "M" : "L").append(at(point));
    }
    return path.toString();
  }

  private static String dots(List<double[]> points) {
    StringBuilder path = new StringBuilder();
    for (double[] point : points) {
      path.append(Coordinates.dot(point[0] * WIDTH, y(point), DOT));
    }
    return path.toString();
  }

  private static String at(double[] point) {
    return Coordinates.n(point[0] * WIDTH) + " " + Coordinates.n(y(point));
  }

  private static double y(double[] point) {
    return (1 - point[1]) * HEIGHT;
  }
}
