package velvetcrock.batch;

import java.security.SecureRandom;
import java.util.function.Predicate;

/**
 * Short codes for a lid: letter, digit, letter, of signs that cannot be taken for one another (no O
 * 0 Q, I 1 L, S 5, Z 2, B 8, G 6, U V). Where those run out, two more signs follow.
 */
public final class LidCodes {
  static final String LETTERS = "ACDEFHJKMNPRTWXY";
  static final String DIGITS = "3479";
  private static final int TRIES_SHORT = 40;

  private static final SecureRandom RANDOM = new SecureRandom();

  private LidCodes() {}

  /** A code for a pot that is not taken: two digits more than a batch's, so that none is both. */
  public static String freshForPots(Predicate<String> taken) {
    String code;
    do {
      code = "" + letter() + letter() + digit() + digit();
    } while (taken.test(code));
    return code;
  }

  /** A code that is not taken. */
  static String fresh(Predicate<String> taken) {
    for (int i = 0; i < TRIES_SHORT; i++) {
      String code = "" + letter() + digit() + letter();
      if (!taken.test(code)) {
        return code;
      }
    }
    String code;
    do {
      code = "" + letter() + digit() + letter() + digit() + letter();
    } while (taken.test(code));
    return code;
  }

  private static char letter() {
    return LETTERS.charAt(RANDOM.nextInt(LETTERS.length()));
  }

  private static char digit() {
    return DIGITS.charAt(RANDOM.nextInt(DIGITS.length()));
  }
}
