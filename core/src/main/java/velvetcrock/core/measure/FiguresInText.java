package velvetcrock.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Range;

/**
 * Finds the figures in a finished text, as {@link CookWords}, {@link CustomaryWords} and texts of
 * the core write them: {@code 12 mm}, {@code 190–210 g}, {@code ¾ cup + 1 tbsp}, {@code 1 lb 2 oz}.
 * What stands between quotation marks is what somebody typed and is left out; so is a figure a
 * gram, a millilitre or a thousand of something ({@code 0.91 g/ml}).
 */
public final class FiguresInText {
  private static final String ONE = "(?:\\d+(?:\\.\\d+)?[½¼¾⅓⅔⅛⅜⅝⅞]?|[½¼¾⅓⅔⅛⅜⅝⅞])";
  private static final String SPAN =
      "(?<![\\w.:/–-])(?<minus>[-−])?(?<low>"
          + ONE
          + ")(?:(?<join>–| to |(?<=between .{1,9}) and )(?<high>"
          + ONE
          + "))?";
  private static final String INCH_BEFORE =
      "in(?=[.,;)]|$| (?:wide|high|tall|deep|long|above|below|over|under|of (?:oil|herb))\\b)";
  private static final Pattern FIGURE =
      Pattern.compile(
          "“[^”]*”|"
              + "(?<apart>± ?|(?<=within ))?"
              + SPAN
              + " (?<unit>(?:fl oz|kg|mm|cm|ml|oz|lb|cups?|tbsp|tsp|[gl]|"
              + INCH_BEFORE
              + ")(?![\\w/])|°[CF](?<over>(?= (?:over|apart|wide|warmer|cooler)\\b))?)"
              + "(?:(?: \\+)? (?<more>"
              + ONE
              + ") (?<small>oz|tbsp|tsp)(?!\\w))?");
  private static final int MM_A_CM = 10;

  private final Kitchen kitchen;

  /** Of one household, which says what a cup is. */
  public FiguresInText(Kitchen kitchen) {
    this.kitchen = kitchen;
  }

  /**
   * A figure that was found.
   *
   * @param from where it begins in the text
   * @param to where it ends, exclusive
   * @param amount in g, ml, mm or °C
   * @param metric whether it is written so, not in ounces, cups, inches or °F
   * @param joined what stands between the ends of a span, such as {@code –} or {@code to}
   */
  public record Figure(
      int from, int to, Quantity quantity, Range amount, boolean metric, String joined) {}

  /** All of them, in order. */
  public List<Figure> in(String text) {
    List<Figure> found = new ArrayList<>();
    Matcher matcher = FIGURE.matcher(text);
    while (matcher.find()) {
      if (matcher.group("unit") != null) {
        found.add(figure(matcher.toMatchResult(), matcher));
      }
    }
    return found;
  }

  private Figure figure(MatchResult at, Matcher matcher) {
    String unit = matcher.group("unit");
    String joined = matcher.group("join") == null ? "–" : matcher.group("join");
    double low = (matcher.group("minus") == null ? 1 : -1) * value(matcher.group("low"));
    String end = matcher.group("high");
    double high = end == null ? low : value(end);
    Range amount = Range.between(Math.min(low, high), Math.max(low, high));
    if (unit.startsWith("°")) {
      boolean celsius = unit.equals("°C");
      if (matcher.group("apart") != null || matcher.group("over") != null) {
        Range apart = celsius ? amount : amount.times(Temperatures.CELSIUS_A_FAHRENHEIT);
        return new Figure(from(at, matcher), at.end(), Quantity.WARMER, apart, celsius, joined);
      }
      Range degrees =
          celsius
              ? amount
              : Range.between(
                  Temperatures.celsiusOfFahrenheit(amount.low()),
                  Temperatures.celsiusOfFahrenheit(amount.high()));
      return new Figure(
          from(at, matcher), at.end(), Quantity.TEMPERATURE, degrees, celsius, joined);
    }
    double more = matcher.group("more") == null ? 0 : value(matcher.group("more"));
    double rest = more == 0 ? 0 : more * size(matcher.group("small"));
    double factor = size(unit);
    Range total = Range.between(amount.low() * factor + rest, amount.high() * factor + rest);
    return new Figure(from(at, matcher), at.end(), quantity(unit), total, metric(unit), joined);
  }

  private double size(String unit) {
    return unit.equals("cm")
        ? MM_A_CM
        : KitchenUnit.of(unit.equals("in") ? "inch" : unit).orElseThrow().size(kitchen);
  }

  /** Where the figure itself begins, behind what says that it is a difference. */
  private static int from(MatchResult at, Matcher matcher) {
    return matcher.group("apart") == null ? at.start() : matcher.end("apart");
  }

  private static Quantity quantity(String unit) {
    return switch (unit) {
      case "g", "kg", "oz", "lb" -> Quantity.WEIGHT;
      case "mm", "cm", "in" -> Quantity.LENGTH;
      default -> Quantity.VOLUME;
    };
  }

  private static boolean metric(String unit) {
    return switch (unit) {
      case "g", "kg", "mm", "cm", "ml", "l" -> true;
      default -> false;
    };
  }

  private static double value(String figures) {
    double value = 0;
    for (Token token : Token.cut(figures)) {
      value += token.value();
    }
    return value;
  }
}
