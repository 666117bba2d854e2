package velvetcrock.cellar;

import static velvetcrock.web.Coordinates.n;

/**
 * A bottle drawn by what it holds: its height and width grow with the cube root of its size, so
 * that bottles can be told apart by eye, and its oil stands at its share of the body.
 *
 * @param oil the oil's body, clipped to the inside
 */
record BottleDrawing(
    String id,
    int widthPx,
    int heightPx,
    String viewBox,
    String outline,
    String oil,
    String cap,
    boolean amber,
    String oilColour,
    String words) {
  private static final double WIDTH_AT_100_ML = 44;
  private static final double HEIGHT_TO_WIDTH = 2.35;
  private static final double MARGIN = 2;
  private static final double BODY_FROM = 0.34;

  static BottleDrawing of(
      String code, double sizeMl, double leftMl, boolean amber, String oilColour, String words) {
    double scale = Math.max(0.7, Math.min(1.9, Math.cbrt(sizeMl / 100)));
    double w = WIDTH_AT_100_ML * scale;
    double h = w * HEIGHT_TO_WIDTH;
    double x0 = MARGIN;
    double top = MARGIN + h * 0.12;
    double body = MARGIN + h * BODY_FROM;
    double floor = MARGIN + h;
    double neck = w * 0.3;
    double level = floor - (floor - body) * Math.max(0, Math.min(1, leftMl / sizeMl));
    String outline =
        "M"
            + n(x0 + neck)
            + " "
            + n(top)
            + "V"
            + n(body - h * 0.1)
            + "C"
            + n(x0 + neck)
            + " "
            + n(body - h * 0.02)
            + " "
            + n(x0)
            + " "
            + n(body - h * 0.04)
            + " "
            + n(x0)
            + " "
            + n(body + h * 0.06)
            + "V"
            + n(floor - 6)
            + "q0 6 6 6H"
            + n(x0 + w - 6)
            + "q6 0 6 -6V"
            + n(body + h * 0.06)
            + "C"
            + n(x0 + w)
            + " "
            + n(body - h * 0.04)
            + " "
            + n(x0 + w - neck)
            + " "
            + n(body - h * 0.02)
            + " "
            + n(x0 + w - neck)
            + " "
            + n(body - h * 0.1)
            + "V"
            + n(top)
            + "Z";
    String oil =
        "M" + n(x0) + " " + n(level) + "H" + n(x0 + w) + "V" + n(floor) + "H" + n(x0) + "Z";
    String cap =
        "M"
            + n(x0 + neck - 2)
            + " "
            + n(top + 2)
            + "V"
            + n(MARGIN + 2)
            + "q0 -2 2 -2H"
            + n(x0 + w - neck)
            + "q2 0 2 2V"
            + n(top + 2)
            + "Z";
    return new BottleDrawing(
        "bottle-" + code,
        (int) Math.round(w + 2 * MARGIN),
        (int) Math.round(h + 2 * MARGIN),
        "0 0 " + n(w + 2 * MARGIN) + " " + n(h + 2 * MARGIN),
        outline,
        leftMl <= 0 ? "" : oil,
        cap,
        amber,
        oilColour,
        words);
  }
}
