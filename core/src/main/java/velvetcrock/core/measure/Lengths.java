package velvetcrock.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Refused;

/** Reads lengths, in cm, mm or inches. */
public final class Lengths {
  private static final Pattern BETWEEN_SIDES = Pattern.compile("\\s*(?:[x×*]|\\bby\\b)\\s*");
  private static final Pattern UNIT = Pattern.compile(".*?([\\p{L}\"″']+)\\s*$");

  private static final Pattern FIGURE = Pattern.compile("\\d{1,4}(?:[.,]\\d{1,4})?");
  private static final String SUCH_AS = "10 cm, 120 mm or half an inch";

  private Lengths() {}

  /**
   * One length.
   *
   * @param bare the unit of a figure without one, such as {@code cm}
   * @return mm
   * @throws Refused at {@code text} where it is none
   */
  public static double mm(String typed, String bare) {
    String text = typed.strip().replaceAll("(?<=[\\d½¼¾⅛⅜⅝⅞])\\s*[\"″]$", " in");
    if (FIGURE.matcher(text).matches()) {
      double figure = Double.parseDouble(text.replace(',', '.'));
      return figure * KitchenUnit.of(bare).orElseThrow().size(Kitchen.METRIC);
    }
    try {
      Measure read = new MeasureReader(Kitchen.METRIC).bare(bare).readAny(text);
      if (read.kind() == Measure.Kind.DEPTH) {
        return read.amount().middle();
      }
    } catch (Refused unread) {
      // said below, with what a length is
    }
    throw new Refused("text", "“" + typed.strip() + "” is no length, such as " + SUCH_AS + ".");
  }

  /**
   * The two sides of a thing with corners: {@code 10 x 15 cm}, {@code 4 by 6 in}; of a square one
   * is enough.
   *
   * @param bare the unit of figures without one
   * @return two lengths, mm
   * @throws Refused at {@code text} where they are none
   */
  public static List<Double> sides(String typed, String bare) {
    String[] said = BETWEEN_SIDES.split(typed.strip());
    if (said.length > 2) {
      throw new Refused("text", "“" + typed.strip() + "” has more than two sides.");
    }
    Matcher unit = UNIT.matcher(said[said.length - 1]);
    String last = unit.matches() ? unit.group(1) : bare;
    List<Double> sides = new ArrayList<>();
    for (String side : said) {
      boolean own = UNIT.matcher(side).matches();
      sides.add(mm(own ? side : side + " " + last, bare));
    }
    return sides.size() == 1 ? List.of(sides.get(0), sides.get(0)) : List.copyOf(sides);
  }
}
