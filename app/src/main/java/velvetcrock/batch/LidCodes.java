package velvetcrock.batch;

import java.security.SecureRandom;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * Short codes for a lid: letter, digit, letter, of signs that cannot be taken for one another (no O
 * 0 Q, I 1 L, S 5, Z 2, B 8, G 6, U V). Where those run out, two more signs follow.
 */
public final class LidCodes {
  static final String LETTERS = "ACDEFHJKMNPRTWXY";
  static final String DIGITS = "3479";
  private static final int TRIES_SHORT = 40;
  private static final int MOST_PAIRS = 5;

  private static final SecureRandom RANDOM = new SecureRandom();

  private LidCodes() {}

  /**
   * A code for a product that is not taken: two letters and two digits or more, so that it is no
   * batch's.
   */
  public static String freshForProduct(Predicate<String> taken) {
    return longerAndLonger(() -> "" + letter() + letter() + digit() + digit(), taken);
  }

  /** A code that is not taken. */
  static String fresh(Predicate<String> taken) {
    return longerAndLonger(() -> "" + letter() + digit() + letter(), taken);
  }

  /** Where the short ones run out, two more signs follow, and two more: it never looks for ever. */
  private static String longerAndLonger(Supplier<String> shortest, Predicate<String> taken) {
    boolean endsInDigit = Character.isDigit(shortest.get().charAt(shortest.get().length() - 1));
    for (int pairs = 0; pairs <= MOST_PAIRS; pairs++) {
      for (int i = 0; i < TRIES_SHORT; i++) {
        StringBuilder code = new StringBuilder(shortest.get());
        for (int pair = 0; pair < pairs; pair++) {
          code.append(digit()).append(endsInDigit ? digit() : letter());
        }
        if (!taken.test(code.toString())) {
          return code.toString();
        }
      }
    }
    throw new IllegalStateException("No code for a lid was found that is free.");
  }

  private static char letter() {
    return LETTERS.charAt(RANDOM.nextInt(LETTERS.length()));
  }

  private static char digit() {
    return DIGITS.charAt(RANDOM.nextInt(DIGITS.length()));
  }
}
