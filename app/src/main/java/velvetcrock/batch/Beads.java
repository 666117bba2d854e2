package velvetcrock.batch;

import velvetcrock.core.jar.Window;
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

  /**
   * Strings them.
   *
   * @param at how far into its window a jar is, in the window's unit
   */
  static Beads of(Window window, double at, Formats fmt) {
    return strung(window, at, new WindowWords(window, fmt).at(at));
  }

  private static double radius(Window window, double at) {
    if (at >= window.usual() && at < window.usual() + window.latest() / COUNT) {
      return USUAL_PX;
    }
    return at >= window.earliest() ? WINDOW_PX : SMALL_PX;
  }

  private static Beads strung(Window window, double served, String words) {
    StringBuilder done = new StringBuilder();
    StringBuilder ahead = new StringBuilder();
    for (int i = 1; i <= COUNT; i++) {
      double at = window.latest() * i / COUNT;
      String bead = circle(i * STEP_PX - MIDDLE_PX + 2, radius(window, at));
      (served >= at ? done : ahead).append(bead);
    }
    return new Beads(done.toString(), ahead.toString(), "M10 9H" + (COUNT * STEP_PX - 7), words);
  }

  private static String circle(double x, double r) {
    return "M" + (x - r) + " " + MIDDLE_PX + "a" + r + " " + r + " 0 1 0 " + 2 * r + " 0a" + r + " "
        + r + " 0 1 0 " + -2 * r + " 0";
  }
}
