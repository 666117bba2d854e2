package velvetcrock.batch;

import java.time.LocalDate;
import velvetcrock.core.log.BatchState;
import velvetcrock.web.Formats;

/**
 * A jar's window as a string of eight beads: the last stands at its end; those served are filled,
 * those of the window are larger, the usual day largest. Coordinates in px.
 *
 * @param served filled beads, as one path
 * @param ahead open beads, as one path
 * @param thread the thread they hang on
 * @param words the same in words
 */
public record Beads(String served, String ahead, String thread, String words) {
  private static final int COUNT = 8;
  private static final int STEP_PX = 17;
  private static final int MIDDLE_PX = 9;
  private static final double SMALL_PX = 3;
  private static final double WINDOW_PX = 4.6;
  private static final double USUAL_PX = 6.4;

  static Beads of(BatchState state, Formats fmt) {
    LocalDate today = fmt.today();
    StringBuilder served = new StringBuilder();
    StringBuilder ahead = new StringBuilder();
    double latest = state.charge().method().latestDays();
    for (int i = 1; i <= COUNT; i++) {
      double day = latest * i / COUNT;
      String bead = circle(i * STEP_PX - MIDDLE_PX + 2, radius(day, state));
      (state.day(today) >= day ? served : ahead).append(bead);
    }
    String words =
        "May be strained from "
            + fmt.date(state.earliest())
            + ", usually "
            + fmt.date(state.usual())
            + ", by "
            + fmt.date(state.latest());
    return new Beads(served.toString(), ahead.toString(), "M10 9H" + (COUNT * STEP_PX - 7), words);
  }

  private static double radius(double day, BatchState state) {
    double step = state.charge().method().latestDays() / (double) COUNT;
    double usual = state.charge().method().usualDays();
    if (day >= usual && day < usual + step) {
      return USUAL_PX;
    }
    return day >= state.charge().method().earliestDays() ? WINDOW_PX : SMALL_PX;
  }

  private static String circle(double x, double r) {
    return "M" + (x - r) + " " + MIDDLE_PX + "a" + r + " " + r + " 0 1 0 " + 2 * r + " 0a" + r + " "
        + r + " 0 1 0 " + -2 * r + " 0";
  }
}
