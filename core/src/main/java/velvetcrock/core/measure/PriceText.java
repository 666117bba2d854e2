package velvetcrock.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * Reads what somebody paid: {@code 4.50}, {@code $4.50}, {@code 3,20 €}, {@code free}, or so much
 * {@code a pound}, {@code per litre}, {@code each}.
 */
public final class PriceText {
  private static final int LONGEST_TEXT = 80;
  private static final int MOST_DIGITS = 7;
  private static final Pattern WRITTEN =
      Pattern.compile(
          "(?:[\\p{Sc}]|[a-z]{3}\\b)?\\s*(\\d{1,12}(?:[.,]\\d{1,4})?)\\s*(?:[\\p{Sc}]|[a-z]{3}\\b(?<!per))?"
              + "\\s*(?:(?:per|an?|/|for)\\s*(.+)|(each|apiece))?");

  private PriceText() {}

  /**
   * Reads a price.
   *
   * @param amount how much was bought; null where only a sum makes sense
   * @return hundredths, in all; null where nothing was typed
   * @throws Refused at {@code price}
   */
  public static @Nullable Long minor(String typed, @Nullable Measure amount, Kitchen kitchen) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    if (text.isEmpty()) {
      return null;
    }
    if (text.equals("free") || text.equals("nothing")) {
      return 0L;
    }
    Matcher matcher = WRITTEN.matcher(text);
    if (text.length() > LONGEST_TEXT || !matcher.matches()) {
      throw new Refused(
          "price", "“" + shown(typed) + "” is not a price, such as 4.50, 3 a pound, or free.");
    }
    BigDecimal paid = new BigDecimal(matcher.group(1).replace(',', '.'));
    if (paid.precision() - paid.scale() > MOST_DIGITS) {
      throw new Refused("price", "A price is below a million.");
    }
    double times = 1;
    if (matcher.group(2) != null || matcher.group(3) != null) {
      times = times(matcher.group(2) == null ? "1 piece" : matcher.group(2), amount, kitchen);
    }
    return paid.multiply(BigDecimal.valueOf(times))
        .movePointRight(2)
        .setScale(0, RoundingMode.HALF_UP)
        .longValueExact();
  }

  /** How many of a unit were bought. */
  private static double times(String unit, @Nullable Measure amount, Kitchen kitchen) {
    Measure one = one(unit, kitchen);
    if (amount == null) {
      throw new Refused("price", "Say what it cost in all.");
    }
    if (one.kind() != amount.kind()) {
      throw new Refused(
          "price",
          "“" + unit + "” does not measure “" + amount.text() + "”: say what it cost in all.");
    }
    return amount.amount().middle() / one.amount().middle();
  }

  private static Measure one(String unit, Kitchen kitchen) {
    try {
      MeasureReader reader = new MeasureReader(kitchen);
      return reader.readAny(Character.isDigit(unit.charAt(0)) ? unit : "1 " + unit);
    } catch (Refused refused) {
      throw new Refused(
          "price", "“" + unit + "” is no measure that something is priced by, such as a pound.");
    }
  }

  private static String shown(String typed) {
    return typed.length() > LONGEST_TEXT / 2 ? typed.substring(0, LONGEST_TEXT / 2) + "…" : typed;
  }
}
