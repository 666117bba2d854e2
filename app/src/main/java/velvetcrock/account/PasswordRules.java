package velvetcrock.account;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Set;
import me.gosimple.nbvcxz.resources.DictionaryUtil;
import velvetcrock.core.Problems;

/**
 * What a password may be: 12 to 200 characters of any script, and not among the first that anybody
 * would try. The list of those is nbvcxz’s, which is shipped.
 */
final class PasswordRules {
  /** Characters, as a reader counts them. */
  static final int SHORTEST = 12;

  static final int LONGEST = 200;

  /** Fewer different characters than this are a row of one key. */
  private static final int FEWEST_DIFFERENT = 5;

  /** A word that is this short says nothing about what stands around it. */
  private static final int SHORTEST_WORD = 4;

  private PasswordRules() {}

  /** Whether anybody can have it; what cannot be is not reckoned with. */
  static boolean possible(String password) {
    return !password.isEmpty() && password.length() <= 2 * LONGEST && count(password) <= LONGEST;
  }

  /** Notes at a field what is wrong with a new one. */
  static void check(String password, String login, String field, Problems problems) {
    int count = password.length() > 2 * LONGEST ? password.length() : count(password);
    boolean fits =
        problems.require(
            count >= SHORTEST && count <= LONGEST,
            field,
            "A password has 12 to 200 characters; this one has " + count + ".");
    if (fits) {
      problems.require(
          !common(password, login),
          field,
          "That is among the first that anybody would try. Take a few words that belong to you.");
    }
  }

  private static int count(String password) {
    return password.codePointCount(0, password.length());
  }

  private static boolean common(String password, String login) {
    String plain = Normalizer.normalize(password, Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
    String word = plain.replaceAll("^[^\\p{L}]+|[^\\p{L}]+$", "");
    String unit = unit(plain);
    return plain.chars().distinct().count() < FEWEST_DIFFERENT
        || !login.isEmpty() && word.equals(login)
        || known(plain)
        || known(word)
        || !unit.equals(plain) && (known(unit) || unit.equals(login));
  }

  private static boolean known(String word) {
    return word.length() >= SHORTEST_WORD && Common.WORDS.contains(word);
  }

  /** What is said several times over, or the whole. */
  private static String unit(String text) {
    int at = (text + text).indexOf(text, 1);
    return text.substring(0, at);
  }

  /** Read once, when the first password is chosen. */
  private static final class Common {
    static final Set<String> WORDS =
        Set.copyOf(DictionaryUtil.loadRankedDictionary(DictionaryUtil.passwords).keySet());
  }
}
