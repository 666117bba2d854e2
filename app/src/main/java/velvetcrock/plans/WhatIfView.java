package velvetcrock.plans;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import velvetcrock.core.outlook.WhatIf;
import velvetcrock.web.Formats;
import velvetcrock.web.PromiseWords;

/**
 * What the sliders come to: what is extracted and how long it then keeps, drawn over one axis of
 * time, and both as bars that compare the pinned settings.
 *
 * @param keepsTop where the axis of keeping ends, days
 */
record WhatIfView(
    Curves now,
    List<Curves> pinned,
    List<OutlookView.Fact> facts,
    String headline,
    String underline,
    boolean bad,
    String keepsTop) {
  /** How wide the axis of time is, px. */
  static final double WIDTH = 330;

  private static final double PULL_HEIGHT = 150;
  private static final double KEEPS_HEIGHT = 130;
  private static final double MONTH = 30.44;

  /**
   * One setting's curves.
   *
   * @param pin names it, for taking it off
   * @param pull path of the pull over time
   * @param keeps path of the keeping over time
   * @param bar how much is extracted and how long it keeps, each as a share of its axis, %
   */
  record Curves(
      String pin,
      String words,
      int colour,
      String pull,
      String keeps,
      Dot pullAt,
      Dot keepsAt,
      Bars bar) {}

  /** What is compared, each as a share of its axis, %, with its words. */
  record Bars(double pull, String pulled, double keeps, String kept) {}

  /** A point of a drawing. */
  record Dot(double x, double y) {}

  /** A setting with what it comes to. */
  record Tried(WhatIfForm form, String words, WhatIf result) {}

  static WhatIfView of(Tried tried, List<Tried> pins, Formats fmt) {
    double most =
        tried.result().curve().stream().mapToDouble(WhatIf.Point::keepsDays).max().orElse(1);
    for (Tried pin : pins) {
      most =
          Math.max(
              most,
              pin.result().curve().stream().mapToDouble(WhatIf.Point::keepsDays).max().orElse(1));
    }
    double top = Math.max(MONTH, Math.ceil(most / MONTH) * MONTH);
    List<Curves> pinned = new ArrayList<>();
    for (int i = 0; i < pins.size(); i++) {
      pinned.add(curves(pins.get(i), i + 1, top, fmt));
    }
    WhatIf result = tried.result();
    return new WhatIfView(
        curves(tried, 0, top, fmt),
        pinned,
        facts(result, fmt),
        headline(result, fmt),
        underline(result, fmt),
        result.solid()
            || !result.charge().covers()
            || result.charge().levels().map(l -> !l.fits()).orElse(false),
        fmt.days(Math.round(top)));
  }

  private static String headline(WhatIf result, Formats fmt) {
    return result.solid()
        ? "The oil is solid: it extracts nothing"
        : "Extracted: "
            + fmt.pull(result.at().drawn())
            + "; then "
            + PromiseWords.keepsFor(result.at().keeps(), fmt);
  }

  private static String underline(WhatIf result, Formats fmt) {
    if (result.charge().levels().isPresent() && !result.charge().levels().get().fits()) {
      return "It does not fit: more than this jar holds.";
    }
    if (!result.charge().covers()) {
      return "Not covered: it takes "
          + fmt.ratio(result.charge().coveringOilPerHerb())
          + " to cover this herb here.";
    }
    return "An estimate for comparing: half or twice as fast is as likely.";
  }

  private static List<OutlookView.Fact> facts(WhatIf result, Formats fmt) {
    double spent = result.at().spentDays();
    return List.of(
        new OutlookView.Fact(
            "Oil", fmt.ml(result.charge().oilMl()), fmt.ratio(result.charge().oilPerHerb())),
        new OutlookView.Fact(
            "Comes out", fmt.ml(Math.max(0, result.yieldMl())), "what the herb does not keep"),
        new OutlookView.Fact(
            "Cover",
            result
                .charge()
                .levels()
                .map(l -> fmt.mm(Math.max(0, l.coverMm())))
                .orElse(result.charge().covers() ? "covered" : "not covered"),
            result.charge().levels().map(l -> "above the herb").orElse("no jar named")),
        new OutlookView.Fact(
            "Infusing uses",
            fmt.number(spent, spent < 10 ? 1 : 0) + " days",
            "of the oil’s own life"));
  }

  private static Curves curves(Tried tried, int colour, double top, Formats fmt) {
    List<WhatIf.Point> curve = tried.result().curve();
    WhatIf.Point at = tried.result().at();
    return new Curves(
        tried.form().pinned(),
        tried.words(),
        colour,
        path(curve, p -> y(p.pull(), 1, PULL_HEIGHT)),
        path(curve, p -> y(p.keepsDays(), top, KEEPS_HEIGHT)),
        new Dot(timeX(at.hours()), y(at.pull(), 1, PULL_HEIGHT)),
        new Dot(timeX(at.hours()), y(at.keepsDays(), top, KEEPS_HEIGHT)),
        new Bars(
            100 * at.pull(),
            fmt.percent(at.pull()) + " extracted",
            100 * at.keepsDays() / top,
            PromiseWords.keepsFor(at.keeps(), fmt)));
  }

  /** Where an hour lies on the logarithmic axis, px. */
  static double timeX(double hours) {
    return WIDTH
        * Math.log(hours / WhatIf.SHORTEST_HOURS)
        / Math.log(WhatIf.LONGEST_HOURS / WhatIf.SHORTEST_HOURS);
  }

  private static double y(double value, double top, double height) {
    return height * (1 - value / top);
  }

  private static String path(List<WhatIf.Point> curve, ToDoubleFunction<WhatIf.Point> y) {
    StringBuilder path = new StringBuilder();
    for (WhatIf.Point point : curve) {
      path.append(path.isEmpty() ? "M" : "L")
          .append(
              String.format(
                  Locale.ROOT, "%.1f %.1f", timeX(point.hours()), y.applyAsDouble(point)));
    }
    return path.toString();
  }
}
