package velvetcrock.batch;

import velvetcrock.core.Range;
import velvetcrock.core.jar.Window;
import velvetcrock.web.Formats;

/** Says when a jar may be strained, the same on every page. */
public final class WindowWords {
  private static final String FOLLOWS = "counted from when the oil follows";

  private final Window window;
  private final Formats fmt;

  /** The words for a window. */
  public WindowWords(Window window, Formats fmt) {
    this.window = window;
    this.fmt = fmt;
  }

  /** The window alone: two days, or hours on the heat. */
  public String span() {
    if (window.byHours()) {
      return fmt.hours(hours());
    }
    return window
        .earliestOn()
        .map(from -> fmt.dates(from, window.latestOn().orElseThrow()))
        .orElse(FOLLOWS);
  }

  /** What is usual in it. */
  public String usual() {
    if (window.byHours()) {
      return "usually " + fmt.hours(window.usual());
    }
    return window
        .usualOn()
        .map(on -> "usually " + fmt.date(on))
        .orElse("usually " + fmt.days(Math.round(window.usual())) + " later");
  }

  /** Both, for a list of facts. */
  public String fact() {
    return window.byHours()
        ? "after " + span() + " on the heat, " + usual()
        : span() + ", " + usual();
  }

  /** A whole sentence. */
  public String sentence() {
    if (window.byHours()) {
      return "It wants " + span() + " on the heat.";
    }
    return window
        .earliestOn()
        .map(
            from ->
                "It may be strained from "
                    + fmt.date(from)
                    + " to "
                    + fmt.date(window.latestOn().orElseThrow())
                    + ".")
        .orElse("Its days are " + FOLLOWS + ".");
  }

  /** Short enough for a lid. */
  public String lid() {
    if (window.byHours()) {
      return fmt.hours(hours()) + " of heat";
    }
    return window
        .earliestOn()
        .map(from -> fmt.shortDate(from) + " to " + fmt.shortDate(window.latestOn().orElseThrow()))
        .orElse(
            Math.round(window.earliest())
                + " to "
                + Math.round(window.latest())
                + " days after the oil");
  }

  /**
   * Where a jar is in it.
   *
   * @param at how far in, in the window's unit
   */
  String at(double at) {
    if (window.byHours()) {
      return fmt.time(at)
          + " on the heat; may come off from "
          + fmt.time(window.earliest())
          + ", usually "
          + fmt.time(window.usual())
          + ", by "
          + fmt.time(window.latest());
    }
    return window
        .earliestOn()
        .map(
            from ->
                "May be strained from "
                    + fmt.date(from)
                    + ", usually "
                    + fmt.date(window.usualOn().orElseThrow())
                    + ", by "
                    + fmt.date(window.latestOn().orElseThrow()))
        .orElse("Its days are " + FOLLOWS);
  }

  private Range hours() {
    return new Range(window.earliest(), window.latest());
  }
}
