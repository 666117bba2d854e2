package velvetcrock.core;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** Writes numbers inside the words of a reckoning: three significant digits, whole above 100. */
public final class Figures {
  private static final MathContext THREE = new MathContext(3, RoundingMode.HALF_UP);

  private static final double LARGEST_QUICK = 1e15;

  /** Lifts what is a half in decimals but a hair less in binary. */
  private static final double ON_THE_HALF = 1e-9;

  private Figures() {}

  /** The number without needless digits, with a full stop as its decimal mark. */
  public static String plain(double value) {
    double size = Math.abs(value);
    if (size >= 1 && size < LARGEST_QUICK) {
      return quick(value, size);
    }
    if (size >= 100) {
      return BigDecimal.valueOf(value).setScale(0, RoundingMode.HALF_UP).toPlainString();
    }
    BigDecimal rounded = BigDecimal.valueOf(value).round(THREE).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0).toPlainString() : rounded.toPlainString();
  }

  /** The same for everyday sizes in whole numbers: these lines are written at every keystroke. */
  private static String quick(double value, double size) {
    long perUnit = size >= 99.95 ? 1 : size >= 9.995 ? 10 : 100;
    long scaled = Math.round(size * perUnit + ON_THE_HALF);
    StringBuilder out = new StringBuilder(12);
    if (value < 0) {
      out.append('-');
    }
    out.append(scaled / perUnit);
    long rest = scaled % perUnit;
    if (rest != 0) {
      out.append('.');
      if (perUnit == 100 && rest < 10) {
        out.append('0');
      }
      out.append(perUnit == 100 && rest % 10 == 0 ? rest / 10 : rest);
    }
    return out.toString();
  }
}
