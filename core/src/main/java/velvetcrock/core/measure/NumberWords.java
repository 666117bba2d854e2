package velvetcrock.core.measure;

import java.time.DateTimeException;
import java.util.Map;
import velvetcrock.core.Range;

/** Numbers that are words. */
final class NumberWords {
  /** How many a dozen is. */
  static final int DOZEN = 12;

  /** Words that are a number of their own. */
  static final Map<String, Integer> CARDINALS =
      Map.ofEntries(
          Map.entry("one", 1),
          Map.entry("two", 2),
          Map.entry("three", 3),
          Map.entry("four", 4),
          Map.entry("five", 5),
          Map.entry("six", 6),
          Map.entry("seven", 7),
          Map.entry("eight", 8),
          Map.entry("nine", 9),
          Map.entry("ten", 10),
          Map.entry("eleven", 11),
          Map.entry("twelve", 12),
          Map.entry("thirteen", 13),
          Map.entry("fourteen", 14),
          Map.entry("fifteen", 15),
          Map.entry("sixteen", 16),
          Map.entry("seventeen", 17),
          Map.entry("eighteen", 18),
          Map.entry("nineteen", 19));

  /** Words for tens, behind which a word for a unit may stand. */
  static final Map<String, Integer> TENS =
      Map.of(
          "twenty", 20,
          "thirty", 30,
          "forty", 40,
          "fifty", 50,
          "sixty", 60,
          "seventy", 70,
          "eighty", 80,
          "ninety", 90);

  /** What divides, one or several of it. */
  static final Map<String, Integer> FRACTIONS =
      Map.ofEntries(
          Map.entry("half", 2),
          Map.entry("halves", 2),
          Map.entry("third", 3),
          Map.entry("thirds", 3),
          Map.entry("quarter", 4),
          Map.entry("quarters", 4),
          Map.entry("fourth", 4),
          Map.entry("fourths", 4),
          Map.entry("fifth", 5),
          Map.entry("fifths", 5),
          Map.entry("sixth", 6),
          Map.entry("sixths", 6),
          Map.entry("eighth", 8),
          Map.entry("eighths", 8),
          Map.entry("tenth", 10),
          Map.entry("tenths", 10),
          Map.entry("sixteenth", 16),
          Map.entry("sixteenths", 16));

  /** Words for some, as the span that people mean by them (practice). */
  static final Map<String, Range> SOME =
      Map.of(
          "couple", new Range(2, 3),
          "few", new Range(3, 5),
          "several", new Range(3, 7),
          "dozen", Range.exactly(DOZEN));

  private NumberWords() {}

  /**
   * How many of a unit: in figures, in words, or half of one.
   *
   * @throws DateTimeException where it is no number above 0
   */
  static double count(String words) {
    String plain = words.replaceAll("^an? (?=couple|few)| of$", "").replaceAll(" an?$", "");
    if (SOME.containsKey(plain)) {
      return SOME.get(plain).low();
    }
    double sum = 0;
    for (Token token : Token.cut(plain.replace("half", "½").replace("quarter of", "¼"))) {
      sum += number(token);
    }
    if (sum <= 0) {
      throw new DateTimeException(words);
    }
    return sum;
  }

  private static double number(Token token) {
    return switch (token.sort()) {
      case NUMBER, FRACTION -> token.value();
      case WORD ->
          switch (token.text()) {
            case "a", "an" -> 1;
            case "and" -> 0;
            default -> {
              Integer word = CARDINALS.getOrDefault(token.text(), TENS.get(token.text()));
              if (word == null) {
                throw new DateTimeException(token.text());
              }
              yield word;
            }
          };
      default -> 0;
    };
  }
}
