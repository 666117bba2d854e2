package velvetcrock.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/**
 * Reads an amount as cooks write it.
 *
 * <pre>
 * amount   = part { [","] ["and" | "+"] part }        all of one kind
 * part     = number ["–" number] unit
 * number   = digits [("." | ",") digits] | [digits] fraction | word
 * fraction = digits "/" digits | "½" | "⅓" | …
 * word     = "half" ["a" | "an"] | "a" | "an" | "one" … "twelve" | "a quarter" ["of a"] …
 * </pre>
 *
 * <p>{@code oz} alone is a weight. A single comma or full stop followed by exactly three digits
 * behind one to three others could be thousands or a decimal; it is asked, not guessed. Reading is
 * bounded: texts over 80 characters are refused unread.
 */
public final class MeasureReader {
  private static final int LONGEST_TEXT = 80;
  private static final double LARGEST = 1_000_000;
  private static final String EXPECTED =
      "Write a number and a unit, such as 60 g, 1 1/2 cups or 8 fl oz.";
  private static final Map<Character, String> VULGAR =
      Map.ofEntries(
          Map.entry('½', "1/2"),
          Map.entry('⅓', "1/3"),
          Map.entry('⅔', "2/3"),
          Map.entry('¼', "1/4"),
          Map.entry('¾', "3/4"),
          Map.entry('⅕', "1/5"),
          Map.entry('⅖', "2/5"),
          Map.entry('⅗', "3/5"),
          Map.entry('⅘', "4/5"),
          Map.entry('⅙', "1/6"),
          Map.entry('⅚', "5/6"),
          Map.entry('⅛', "1/8"),
          Map.entry('⅜', "3/8"),
          Map.entry('⅝', "5/8"),
          Map.entry('⅞', "7/8"));
  private static final Map<String, String> WORDS =
      Map.ofEntries(
          Map.entry("half", "1/2"),
          Map.entry("quarter", "1/4"),
          Map.entry("third", "1/3"),
          Map.entry("a", "1"),
          Map.entry("an", "1"),
          Map.entry("one", "1"),
          Map.entry("two", "2"),
          Map.entry("three", "3"),
          Map.entry("four", "4"),
          Map.entry("five", "5"),
          Map.entry("six", "6"),
          Map.entry("seven", "7"),
          Map.entry("eight", "8"),
          Map.entry("nine", "9"),
          Map.entry("ten", "10"),
          Map.entry("eleven", "11"),
          Map.entry("twelve", "12"));
  private static final Pattern WORD_PHRASES =
      Pattern.compile(
          "(?:(?:a|an|one) )?(half|quarter|third)(?: (?:of (?:a|an) |a |an )?)"
              + "|\\b(a|an|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve) ");
  private static final String NUMBER = "(?:\\d+ \\d+/\\d+|\\d+/\\d+|\\d+(?:[.,]\\d+)*|[.,]\\d+)";
  private static final Pattern PART =
      Pattern.compile(
          "\\s*(?:,|\\+|and |&)?\\s*("
              + NUMBER
              + ")(?:\\s*(?:-|–|—|to )\\s*("
              + NUMBER
              + "))?\\s*(fl\\.? ?oz\\.?|fluid ounces?|[a-z]+\\.?)");
  private static final Pattern THOUSANDS_OR_DECIMAL = Pattern.compile("\\d{1,3}[.,]\\d{3}");

  private static final Pattern AROUND_SLASH = Pattern.compile("\\s*/\\s*");
  private static final int ASCII_END = 128;

  private final Kitchen kitchen;

  /** A reader for one household's kitchen measures. */
  public MeasureReader(Kitchen kitchen) {
    this.kitchen = kitchen;
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
    };
  }

  /**
   * Reads a weight, a volume, a count of pieces ({@code 3 sticks}) or a depth ({@code 20 mm}).
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
    return sum(text, parts(text));
  }

  private record Part(Range count, KitchenUnit unit, String word) {}

  private List<Part> parts(String text) {
    String plain = plain(text);
    List<Part> parts = new ArrayList<>();
    Matcher matcher = PART.matcher(plain);
    int at = 0;
    while (at < plain.length()) {
      if (!matcher.find(at) || matcher.start() != at) {
        throw refuse("“" + text + "” cannot be read as an amount. " + EXPECTED);
      }
      String unitWord =
          matcher.group(3).startsWith("fl") ? fluid(matcher.group(3)) : matcher.group(3);
      KitchenUnit unit =
          KitchenUnit.of(unitWord)
              .orElseThrow(
                  () ->
                      refuse(
                          "“"
                              + matcher.group(3)
                              + "” in “"
                              + text
                              + "” is not a unit. "
                              + EXPECTED));
      double low = number(matcher.group(1), text);
      double high = matcher.group(2) == null ? low : number(matcher.group(2), text);
      if (high < low) {
        throw refuse("“" + text + "” runs from high to low. Write the smaller number first.");
      }
      parts.add(new Part(new Range(low, high), unit, unitWord));
      at = matcher.end();
    }
    return parts;
  }

  private Measure sum(String text, List<Part> parts) {
    Measure.Kind kind = parts.get(0).unit().kind();
    Range total = Range.exactly(0);
    for (Part part : parts) {
      if (part.unit().kind() != kind) {
        throw refuse("“" + text + "” mixes weight and volume. Give one of the two.");
      }
      if (kind == Measure.Kind.COUNT && !noun(part).equals(noun(parts.get(0)))) {
        throw refuse("“" + text + "” counts two kinds of things. Give one of the two.");
      }
      Range unit = part.unit().range(kitchen);
      total =
          total.plus(new Range(part.count().low() * unit.low(), part.count().high() * unit.high()));
    }
    if (total.low() <= 0) {
      throw refuse("“" + text + "” is nothing at all. An amount is above zero.");
    }
    if (total.high() > LARGEST) {
      throw refuse("“" + text + "” is more than a tonne. Check the number and the unit.");
    }
    return new Measure(kind, total, text, kind == Measure.Kind.COUNT ? noun(parts.get(0)) : "");
  }

  /** What is counted, in the singular. */
  private static String noun(Part part) {
    String word = part.word();
    if (word.equals("leaves")) {
      return "leaf";
    }
    if (word.endsWith("ies")) {
      return word.equals("chillies") ? "chilli" : word.substring(0, word.length() - 3) + "y";
    }
    return word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
  }

  /** Lower case, single spaces, fractions and number words written as figures. */
  private static String plain(String text) {
    StringBuilder out = new StringBuilder(text.length() + 8);
    for (int i = 0; i < text.length(); i++) {
      char c = Character.toLowerCase(text.charAt(i));
      String vulgar = c < ASCII_END ? null : VULGAR.get(c);
      if (vulgar != null) {
        space(out);
        out.append(vulgar).append(' ');
      } else if (Character.isWhitespace(c)) {
        space(out);
      } else if (c == '"' || c == '″') {
        space(out);
        out.append("in");
      } else {
        out.append(c == '⁄' ? '/' : c);
      }
    }
    String spaced = out.toString().strip();
    if (spaced.indexOf('/') >= 0) {
      spaced = AROUND_SLASH.matcher(spaced).replaceAll("/");
    }
    if (Character.isDigit(spaced.isEmpty() ? ' ' : spaced.charAt(0)) && spaced.indexOf(" a") < 0) {
      return spaced;
    }
    return WORD_PHRASES
        .matcher(spaced.replace("and a half", "1/2"))
        .replaceAll(m -> WORDS.get(m.group(1) == null ? m.group(2) : m.group(1)) + " ")
        .strip();
  }

  private static void space(StringBuilder out) {
    if (!out.isEmpty() && out.charAt(out.length() - 1) != ' ') {
      out.append(' ');
    }
  }

  private double number(String figures, String text) {
    if (figures.length() > 4
        && !figures.startsWith("0")
        && THOUSANDS_OR_DECIMAL.matcher(figures).matches()) {
      String whole = figures.replaceAll("[.,]", "");
      String decimal = figures.replace(',', '.');
      throw refuse(
          "“"
              + text
              + "” can be read as "
              + whole
              + " or as "
              + decimal
              + ". Write it without the mark.");
    }
    if (figures.indexOf('/') >= 0) {
      return mixed(figures, text);
    }
    if (figures.chars().filter(c -> c == '.' || c == ',').count() > 1) {
      throw refuse("“" + figures + "” in “" + text + "” is not a number. " + EXPECTED);
    }
    double value = Double.parseDouble(figures.replace(',', '.'));
    if (value > LARGEST) {
      throw refuse("“" + text + "” is more than a tonne. Check the number and the unit.");
    }
    return value;
  }

  /** Fluid ounces however they are shortened. */
  private static String fluid(String word) {
    return word.endsWith("oz") || word.endsWith("oz.") ? "fl oz" : word;
  }

  private double mixed(String figures, String text) {
    String[] wholeAndFraction =
        figures.contains(" ") ? figures.split(" ") : new String[] {"0", figures};
    String[] halves = wholeAndFraction[1].split("/");
    double below = Double.parseDouble(halves[1]);
    if (below == 0) {
      throw refuse("“" + text + "” divides by zero. " + EXPECTED);
    }
    return Double.parseDouble(wholeAndFraction[0]) + Double.parseDouble(halves[0]) / below;
  }

  private static Refused refuse(String message) {
    return new Refused("text", message);
  }
}
