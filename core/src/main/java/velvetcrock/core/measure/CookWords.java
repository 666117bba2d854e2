package velvetcrock.core.measure;

import java.util.List;
import velvetcrock.core.Figures;
import velvetcrock.core.Range;

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

  private static final List<Fraction> OF_A_CUP_IN_SPANS = OF_A_SPOON;
  private static final List<Fraction> HALVES =
      List.of(new Fraction(0, ""), new Fraction(0.5, "½"), new Fraction(1, ""));
  private static final List<Fraction> WHOLE = List.of(new Fraction(0, ""), new Fraction(1, ""));

  private static final double NEAR_ENOUGH = 0.06;

  private CookWords() {}

  /**
   * The volume in words.
   *
   * @param ml millilitres, not negative
   * @return such as {@code 1¼ cups}, {@code 2 tbsp} or {@code ½ tsp}
   */
  public static String of(double ml, Kitchen kitchen) {
    double cup = KitchenUnit.CUP.size(kitchen);
    if (ml >= 0.22 * cup && ml < cup) {
      return partOfACup(ml, cup, KitchenUnit.TABLESPOON.size(kitchen));
    }
    if (ml >= cup) {
      String words = counted(ml / cup, OF_A_CUP, "");
      return words + (words.equals("1") ? " cup" : " cups");
    }
    double tablespoon = KitchenUnit.TABLESPOON.size(kitchen);
    double teaspoon = KitchenUnit.TEASPOON.size(kitchen);
    if (ml >= tablespoon - teaspoon / 4) {
      return spoons(ml, tablespoon, teaspoon);
    }
    return counted(Math.max(0.25, ml / teaspoon), OF_A_SPOON, "0") + " tsp";
  }

  /**
   * A span of volume in one unit, so that it can be read back: cups in quarters, tablespoons in
   * halves, teaspoons in quarters, or drops.
   *
   * @return such as {@code 2–2¼ cups}; one amount where both ends are one
   */
  public static String of(Range ml, Kitchen kitchen) {
    double cup = KitchenUnit.CUP.size(kitchen);
    double tablespoon = KitchenUnit.TABLESPOON.size(kitchen);
    double teaspoon = KitchenUnit.TEASPOON.size(kitchen);
    if (ml.high() >= 0.72 * cup) {
      return between(ml, cup, OF_A_CUP_IN_SPANS, " cup", " cups");
    }
    if (ml.high() >= 2 * tablespoon) {
      return between(ml, tablespoon, HALVES, " tbsp", " tbsp");
    }
    if (ml.high() >= teaspoon / 4) {
      return between(ml, teaspoon, OF_A_SPOON, " tsp", " tsp");
    }
    return between(ml, KitchenUnit.DROP.size(kitchen), WHOLE, " drop", " drops");
  }

  private static String between(
      Range ml, double unit, List<Fraction> fractions, String one, String many) {
    String low = counted(ml.low() / unit, fractions, "0");
    String high = counted(ml.high() / unit, fractions, "0");
    if (low.equals(high) || low.equals("0")) {
      String most = high.equals("0") ? fractions.get(1).sign() : high;
      String only = most.isEmpty() ? "1" : most;
      boolean single = only.equals("1") || !Character.isDigit(only.charAt(0));
      return only + (single ? one : many);
    }
    return low + "–" + high + many;
  }

  /** The nearest fraction of a cup where it is near enough; else the one below and tablespoons. */
  private static String partOfACup(double ml, double cup, double tablespoon) {
    String nearest = counted(ml / cup, OF_A_CUP, "");
    Fraction below = OF_A_CUP.get(0);
    for (Fraction fraction : OF_A_CUP) {
      if (Math.abs(fraction.value() * cup / ml - 1) <= NEAR_ENOUGH) {
        return nearest + " cup";
      }
      if (fraction.value() * cup <= ml) {
        below = fraction;
      }
    }
    long spoons = Math.round((ml - below.value() * cup) / tablespoon);
    String spoonWords = spoons + " tbsp";
    String both = below.value() == 0 ? spoonWords : below.sign() + " cup + " + spoonWords;
    return spoons == 0 ? below.sign() + " cup" : both;
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
