package velvetcrock.core.measure;

import java.util.List;
import velvetcrock.core.Figures;

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
    double teaspoon = KitchenUnit.TEASPOON.size(kitchen);
    if (ml >= tablespoon - teaspoon / 4) {
      return spoons(ml, tablespoon, teaspoon);
    }
    return counted(Math.max(0.25, ml / teaspoon), OF_A_SPOON, "0") + " tsp";
  }

  /**
   * A weight as kitchen scales show it: tenths below 10 g, grams below 250, fives below a kilogram.
   *
   * @param grams not negative
   * @return such as {@code 7.5 g}, {@code 185 g} or {@code 1.25 kg}
   */
  public static String ofGrams(double grams) {
    if (grams >= 997.5) {
      return Figures.plain(grams / 1000) + " kg";
    }
    double step = grams < 9.95 ? 0.1 : grams < 250 ? 1 : 5;
    return Figures.plain(Math.round(grams / step) * step) + " g";
  }

  /** Whole tablespoons and what is left over in halves of a teaspoon. */
  private static String spoons(double ml, double tablespoon, double teaspoon) {
    long halves = Math.round(ml / teaspoon * 2);
    long perTablespoon = Math.round(tablespoon / teaspoon * 2);
    String rest = counted(halves % perTablespoon / 2.0, OF_A_SPOON, "");
    return halves / perTablespoon + " tbsp" + (rest.isEmpty() ? "" : " + " + rest + " tsp");
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
