package velvetcrock.core.measure;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * Reads an amount as people say and write it. The whole grammar with what each word stands for is
 * in docs/measures.md.
 *
 * <pre>
 * said     = amount ["(" amount ")" | "=" amount] ["of" words]
 * amount   = [hedge] sum {hedge}
 * sum      = span {("and" | "plus" | "+" | "," | "minus" | "less") (span | fraction)}
 * span     = ["between" | "from"] number [("to" | "-" | "or" | "and") number] {size} unit
 *          | ["between" | "from"] number unit ("to" | "-" | "or" | "and") number unit
 *          | number "×" span
 * number   = whole | whole ["and" | "-"] fraction | fraction ["of"] ["a"] | some | number "dozen"
 * whole    = figures | "a" | "one" … "nine hundred and ninety-nine"
 * fraction = figures "/" figures | "½" … | [whole] ("half" | "third" | "quarter" …)
 * some     = "a couple of" | "a few" | "several"
 * hedge    = "about" | "almost" | "a little over" | "or so" …
 * size     = "heaped" | "level" | "packed" | "scant" | "small" | "large" …
 * unit     = ["US" | "imperial" | "metric"] word
 * </pre>
 *
 * <p>{@code oz} alone is a weight; a large {@code T} is a tablespoon and a small {@code t} a
 * teaspoon. A single comma or full stop followed by exactly three digits behind one to three others
 * could be thousands or a decimal; it is asked, not guessed. Reading is bounded: texts over 80
 * characters are refused unread.
 */
public final class MeasureReader {
  private static final int LONGEST_TEXT = 80;
  private static final String EXPECTED =
      "Write a number and a unit, such as 60 g, 1 1/2 cups or 8 fl oz.";

  private final Kitchen kitchen;
  private final @Nullable KitchenUnit bare;

  /** A reader for one household's kitchen measures, which wants a unit behind every figure. */
  public MeasureReader(Kitchen kitchen) {
    this(kitchen, null);
  }

  private MeasureReader(Kitchen kitchen, @Nullable KitchenUnit bare) {
    this.kitchen = kitchen;
    this.bare = bare;
  }

  /**
   * The same for a field that shows a unit: a figure without one takes that.
   *
   * @param unit as it is written, such as {@code g} or {@code fl oz}
   */
  public MeasureReader bare(String unit) {
    return new MeasureReader(kitchen, KitchenUnit.of(unit).orElseThrow());
  }

  /**
   * Reads a weight or a volume.
   *
   * @param typed what was typed
   * @return the amount, in g or ml, above zero; a vague one (a handful) as a range
   * @throws Refused at field {@code text}, naming what was read and what was expected
   */
  public Measure read(String typed) {
    Measure measure = readAny(typed);
    return switch (measure.kind()) {
      case WEIGHT, VOLUME -> measure;
      case COUNT ->
          throw refuse("“" + measure.text() + "” is a count. Weigh them, or give a volume.");
      case DEPTH ->
          throw refuse("“" + measure.text() + "” is a depth. Give a weight or a volume here.");
      case PARTS ->
          throw refuse("“" + measure.text() + "” is a share. Give a weight or a volume here.");
    };
  }

  /**
   * Reads a weight, a volume, a count of pieces ({@code 3 sticks}), a depth ({@code 20 mm}) or
   * parts.
   *
   * @param typed what was typed
   * @return the amount, above zero
   * @throws Refused at field {@code text}, naming what was read and what was expected
   */
  public Measure readAny(String typed) {
    String text = typed.strip();
    if (text.isEmpty()) {
      throw refuse("Nothing was typed. " + EXPECTED);
    }
    if (text.length() > LONGEST_TEXT) {
      throw refuse("That is " + text.length() + " characters long. " + EXPECTED);
    }
    if (text.startsWith("-") || text.startsWith("−")) {
      throw refuse("“" + text + "” is below zero. An amount is above zero.");
    }
    return new AmountParser(text, kitchen, bare).read();
  }

  private static Refused refuse(String message) {
    return new Refused("text", message);
  }
}
