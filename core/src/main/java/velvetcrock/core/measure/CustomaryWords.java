package velvetcrock.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import velvetcrock.core.Figures;
import velvetcrock.core.Range;

/** Says weights in ounces and pounds, and lengths in inches, so that they can be read back. */
public final class CustomaryWords {
  private static final double OUNCE_G = KitchenUnit.OUNCE_WEIGHT.size(Kitchen.US);
  private static final double POUND_G = KitchenUnit.POUND_WEIGHT.size(Kitchen.US);
  private static final double INCH_MM = KitchenUnit.INCH.size(Kitchen.US);
  private static final int OUNCES_A_POUND = 16;
  private static final int EIGHTHS = 8;
  private static final String[] SIGNS = {"", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"};

  private CustomaryWords() {}

  /** A weight, such as {@code 0.35 oz}, {@code 2.1 oz} or {@code 1 lb 2 oz}. */
  public static String ofGrams(double grams) {
    double ounces = grams / OUNCE_G;
    if (ounces < OUNCES_A_POUND - 0.05) {
      return ounces(ounces) + " oz";
    }
    long whole = Math.round(ounces);
    long pounds = whole / OUNCES_A_POUND;
    long rest = whole % OUNCES_A_POUND;
    return pounds + " lb" + (rest == 0 ? "" : " " + rest + " oz");
  }

  /** A span of weight, in one unit. */
  public static String ofGrams(Range grams) {
    boolean pounds = grams.low() >= 3 * POUND_G;
    double unit = pounds ? POUND_G : OUNCE_G;
    String low = ounces(grams.low() / unit);
    String high = ounces(grams.high() / unit);
    return low.equals(high) ? ofGrams(grams.middle()) : low + "–" + high + (pounds ? " lb" : " oz");
  }

  /** A weight to the hundredth of an ounce, however heavy. */
  public static String closely(double grams) {
    return BigDecimal.valueOf(grams / OUNCE_G)
            .setScale(2, RoundingMode.HALF_UP)
            .stripTrailingZeros()
            .toPlainString()
        + " oz";
  }

  /** A volume in fluid ounces of a kitchen, such as {@code 10.1 fl oz}. */
  public static String ofMl(double ml, Kitchen kitchen) {
    double ounces = ml / KitchenUnit.FLUID_OUNCE_VOLUME.size(kitchen);
    return Figures.plain(Math.round(ounces * 10) / 10.0) + " fl oz";
  }

  private static String ounces(double ounces) {
    double step =
        ounces < 0.03 ? 0.001 : ounces < 1 ? 0.01 : ounces < 10 ? 0.1 : ounces < 100 ? 0.5 : 1;
    return Figures.plain(Math.round(Math.round(ounces / step) * step * 1000) / 1000.0);
  }

  /** A length to the eighth of an inch, such as {@code ½ in}. */
  public static String ofMm(double mm) {
    return eighths(mm) + " in";
  }

  /** A span of length. */
  public static String ofMm(Range mm) {
    String low = eighths(mm.low());
    String high = eighths(mm.high());
    return low.equals(high) ? high + " in" : low + "–" + high + " in";
  }

  private static String eighths(double mm) {
    long eighths = Math.max(1, Math.round(mm / INCH_MM * EIGHTHS));
    long whole = eighths / EIGHTHS;
    return (whole == 0 ? "" : String.valueOf(whole)) + SIGNS[(int) (eighths % EIGHTHS)];
  }
}
