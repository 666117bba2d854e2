package velvetcrock.web;

/** Coordinates of drawings as they stand in a path. */
public final class Coordinates {
  private Coordinates() {}

  /** To a tenth, without the cost of printing a double. */
  public static String n(double value) {
    long tenths = Math.round(value * 10);
    long size = Math.abs(tenths);
    String sign = tenths < 0 ? "-" : "";
    return size % 10 == 0 ? sign + size / 10 : sign + size / 10 + "." + size % 10;
  }

  /** A dot as a path of its own. */
  public static String dot(double x, double y, double radius) {
    String r = n(radius);
    return "M"
        + n(x - radius)
        + " "
        + n(y)
        + "a"
        + r
        + " "
        + r
        + " 0 1 0 "
        + n(2 * radius)
        + " 0a"
        + r
        + " "
        + r
        + " 0 1 0 "
        + n(-2 * radius)
        + " 0";
  }
}
