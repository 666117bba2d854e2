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
}
