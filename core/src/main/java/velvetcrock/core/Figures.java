package velvetcrock.core;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** Writes numbers inside the words of a reckoning: three significant digits, whole above 100. */
public final class Figures {
  private static final MathContext THREE = new MathContext(3, RoundingMode.HALF_UP);

  private Figures() {}

  /** The number without needless digits, with a full stop as its decimal mark. */
  public static String plain(double value) {
    if (Math.abs(value) >= 100) {
      return BigDecimal.valueOf(value).setScale(0, RoundingMode.HALF_UP).toPlainString();
    }
    BigDecimal rounded = BigDecimal.valueOf(value).round(THREE).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0).toPlainString() : rounded.toPlainString();
  }
}
