package velvetcrock.core.measure;

import java.util.List;

/**
 * Says a volume as a cook would: cups in thirds and quarters, then spoons. Rounds to the nearest
 * quarter teaspoon at most, and never to nothing.
 */
public final class CookWords {
  private record Fraction(double value, String sign) {}

  private static final List<Fraction> OF_A_CUP =
      List.of(
          new Fraction(0, ""),
          new Fraction(0.25, "¼"),
          new Fraction(1 / 3.0, "⅓"),
          new Fraction(0.5, "½"),
          new Fraction(2 / 3.0, "⅔"),
          new Fraction(0.75, "¾"),
          new Fraction(1, ""));
  private static final List<Fraction> OF_A_SPOON =
      List.of(
          new Fraction(0, ""),
          new Fraction(0.25, "¼"),
          new Fraction(0.5, "½"),
          new Fraction(0.75, "¾"),
          new Fraction(1, ""));

  private CookWords() {}

  /**
   * The volume in words.
   *
   * @param ml millilitres, not negative
   * @return such as {@code 1¼ cups}, {@code 2 tbsp} or {@code ½ tsp}
   */
  public static String of(double ml, Kitchen kitchen) {
    double cup = KitchenUnit.CUP.size(kitchen);
    if (ml >= 0.22 * cup) {
      String words = counted(ml / cup, OF_A_CUP, "");
      return words + (words.equals("1") || ml < cup * 0.9 ? " cup" : " cups");
    }
    double tablespoon = KitchenUnit.TABLESPOON.size(kitchen);
    if (ml >= 0.9 * tablespoon) {
      return counted(ml / tablespoon, OF_A_SPOON, "") + " tbsp";
    }
    return counted(Math.max(0.25, ml / KitchenUnit.TEASPOON.size(kitchen)), OF_A_SPOON, "0")
        + " tsp";
  }

  private static String counted(double count, List<Fraction> fractions, String zero) {
    double whole = Math.floor(count);
    double rest = count - whole;
    Fraction nearest = fractions.get(0);
    for (Fraction fraction : fractions) {
      if (Math.abs(fraction.value() - rest) < Math.abs(nearest.value() - rest)) {
        nearest = fraction;
      }
    }
    if (nearest.value() == 1) {
      whole += 1;
    }
    String digits = whole == 0 ? "" : String.valueOf((long) whole);
    String words = digits + nearest.sign();
    return words.isEmpty() ? zero : words;
  }
}
