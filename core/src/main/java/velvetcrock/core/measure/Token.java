package velvetcrock.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A piece of what was typed.
 *
 * @param text as it was typed; of a word without the full stop of a short form
 * @param lower the same in lower case
 * @param value of a number or a fraction
 * @param from where it begins
 * @param to behind where it ends
 */
record Token(Sort sort, String text, String lower, double value, int from, int to) {
  /** What it is. */
  enum Sort {
    /** Figures, with a decimal mark at most. */
    NUMBER,
    /** A fraction as one sign. */
    FRACTION,
    /** Letters. */
    WORD,
    /** Anything else. */
    SIGN,
    /** Nothing follows. */
    END
  }

  private static final Map<Character, Double> FRACTIONS =
      Map.ofEntries(
          Map.entry('½', 1 / 2.0),
          Map.entry('⅓', 1 / 3.0),
          Map.entry('⅔', 2 / 3.0),
          Map.entry('¼', 1 / 4.0),
          Map.entry('¾', 3 / 4.0),
          Map.entry('⅕', 1 / 5.0),
          Map.entry('⅖', 2 / 5.0),
          Map.entry('⅗', 3 / 5.0),
          Map.entry('⅘', 4 / 5.0),
          Map.entry('⅙', 1 / 6.0),
          Map.entry('⅚', 5 / 6.0),
          Map.entry('⅛', 1 / 8.0),
          Map.entry('⅜', 3 / 8.0),
          Map.entry('⅝', 5 / 8.0),
          Map.entry('⅞', 7 / 8.0));

  private static final String DASHES = "-–—−‐‑";
  private static final String WIDE_SPACES = "\u00a0\u2009\u202f";

  /** Cuts what was typed; each sign that is no letter and no figure by itself. */
  static List<Token> cut(String typed) {
    List<Token> tokens = new ArrayList<>();
    int at = 0;
    while (at < typed.length()) {
      char c = typed.charAt(at);
      if (Character.isWhitespace(c) || WIDE_SPACES.indexOf(c) >= 0) {
        at++;
        continue;
      }
      Token token;
      if (figure(c) || pointed(typed, at)) {
        token = number(typed, at);
      } else if (Character.isLetter(c)) {
        token = word(typed, at);
      } else if (FRACTIONS.containsKey(c)) {
        token = new Token(Sort.FRACTION, "" + c, "" + c, FRACTIONS.get(c), at, at + 1);
      } else {
        token = sign(c, at);
      }
      tokens.add(token);
      at = token.to();
    }
    tokens.add(new Token(Sort.END, "", "", 0, typed.length(), typed.length()));
    return tokens;
  }

  private static boolean figure(char c) {
    return c >= '0' && c <= '9';
  }

  /** Whether a decimal mark stands here with nothing before it. */
  private static boolean pointed(String typed, int at) {
    return (typed.charAt(at) == '.' || typed.charAt(at) == ',')
        && at + 1 < typed.length()
        && figure(typed.charAt(at + 1))
        && (at == 0 || !Character.isLetterOrDigit(typed.charAt(at - 1)));
  }

  private static Token number(String typed, int from) {
    int to = from;
    while (to < typed.length()
        && (figure(typed.charAt(to))
            || marked(typed, to)
            || WIDE_SPACES.indexOf(typed.charAt(to)) >= 0 && thousand(typed, to + 1))) {
      to++;
    }
    String text = typed.substring(from, to);
    String plain = text.replaceAll("[" + WIDE_SPACES + "]", "").replace(',', '.');
    double value = Double.NaN;
    if (plain.indexOf('.') == plain.lastIndexOf('.')) {
      value = Double.parseDouble(plain);
    }
    return new Token(Sort.NUMBER, text, text, value, from, to);
  }

  /** Whether a mark between figures stands here. */
  private static boolean marked(String typed, int at) {
    return (typed.charAt(at) == '.' || typed.charAt(at) == ',')
        && at + 1 < typed.length()
        && figure(typed.charAt(at + 1));
  }

  /** Whether three figures and no more stand here. */
  private static boolean thousand(String typed, int at) {
    return at + 3 <= typed.length()
        && typed.substring(at, at + 3).chars().allMatch(c -> figure((char) c))
        && (at + 3 == typed.length() || !figure(typed.charAt(at + 3)));
  }

  private static Token word(String typed, int from) {
    int to = from;
    while (to < typed.length()
        && (Character.isLetter(typed.charAt(to))
            || typed.charAt(to) == '\''
                && to + 1 < typed.length()
                && Character.isLetter(typed.charAt(to + 1)))) {
      to++;
    }
    String text = typed.substring(from, to);
    if (to < typed.length() && typed.charAt(to) == '.') {
      to++;
    }
    return new Token(Sort.WORD, text, text.toLowerCase(Locale.ROOT), 0, from, to);
  }

  private static Token sign(char c, int at) {
    String plain =
        DASHES.indexOf(c) >= 0
            ? "-"
            : switch (c) {
              case '⁄', '∕' -> "/";
              case '×', '✕', '*' -> "×";
              case '″', '”' -> "\"";
              case '≈', '≅', '∼' -> "~";
              default -> String.valueOf(c);
            };
    return new Token(Sort.SIGN, plain, plain, 0, at, at + 1);
  }

  boolean is(String word) {
    return lower.equals(word) && sort != Sort.END;
  }

  boolean number() {
    return sort == Sort.NUMBER;
  }

  boolean word() {
    return sort == Sort.WORD;
  }
}
