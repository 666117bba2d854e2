package velvetcrock.core.measure;

import java.util.Locale;
import java.util.regex.Pattern;
import velvetcrock.core.Refused;

/** A ratio of herb to oil as people say it: {@code 1:5}, {@code one part to two}, {@code 5}. */
public final class RatioText {
  private static final Pattern BETWEEN = Pattern.compile("\\s*(?::|/|\\bto\\b|\\bin\\b)\\s*");

  /** No ratio goes into thousands: three decimals are decimals here. */
  private static final Pattern FIGURES = Pattern.compile("\\d{1,6}(?:[.,]\\d{1,6})?");

  private static final double LEAST = 0.01;

  private RatioText() {}

  /**
   * Reads one.
   *
   * @param typed a figure alone is the oil to one of herb
   * @param most the most oil to one of herb
   * @return oil to one of herb
   * @throws Refused at {@code text}
   */
  public static double read(String typed, double most) {
    String text = typed.strip();
    String[] sides = BETWEEN.split(text.toLowerCase(Locale.ROOT), -1);
    if (sides.length > 2 || sides.length == 0) {
      throw refuse(text);
    }
    try {
      MeasureReader parts = new MeasureReader(Kitchen.US).bare("parts");
      double oil = side(parts, sides[sides.length - 1]);
      double herb = sides.length == 1 ? 1 : side(parts, sides[0]);
      double ratio = oil / herb;
      if (ratio >= LEAST && ratio <= most) {
        return ratio;
      }
    } catch (Refused refused) {
      throw refuse(text);
    }
    throw new Refused(
        "text",
        "“"
            + text
            + "” was read. Oil to one of herb lies between 0.01 and "
            + Math.round(most)
            + ".");
  }

  private static double side(MeasureReader parts, String side) {
    if (FIGURES.matcher(side).matches()) {
      return Double.parseDouble(side.replace(',', '.'));
    }
    Measure measure = parts.readAny(side);
    if (measure.kind() != Measure.Kind.PARTS) {
      throw refuse(side);
    }
    return measure.amount().middle();
  }

  private static Refused refuse(String text) {
    return new Refused(
        "text",
        "“" + text + "” cannot be read as a ratio. Write such as 1:5, one part to five, or 5.");
  }
}
