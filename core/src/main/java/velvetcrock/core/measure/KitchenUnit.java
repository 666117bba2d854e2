package velvetcrock.core.measure;

import static systems.uom.common.USCustomary.FLUID_OUNCE;
import static systems.uom.common.USCustomary.OUNCE;
import static systems.uom.common.USCustomary.POUND;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.measure.Unit;
import javax.measure.quantity.Mass;
import javax.measure.quantity.Volume;
import tech.units.indriya.unit.Units;

/** A unit that may stand behind a number, with the words for it and its size in each kitchen. */
enum KitchenUnit {
  GRAM(1, true, "g", "gr", "gm", "gram", "grams", "gramme", "grammes"),
  KILOGRAM(1000, true, "kg", "kilo", "kilos", "kilogram", "kilograms"),
  MILLIGRAM(0.001, true, "mg", "milligram", "milligrams"),
  OUNCE_WEIGHT(grams(OUNCE), true, "oz", "ounce", "ounces"),
  POUND_WEIGHT(grams(POUND), true, "lb", "lbs", "pound", "pounds"),
  MILLILITRE(1, false, "ml", "millilitre", "millilitres", "milliliter", "milliliters", "cc"),
  CENTILITRE(10, false, "cl", "centilitre", "centilitres", "centiliter", "centiliters"),
  DECILITRE(100, false, "dl", "decilitre", "decilitres", "deciliter", "deciliters"),
  LITRE(1000, false, "l", "litre", "litres", "liter", "liters", "ltr"),
  TEASPOON(4.92892, 5, 5, "tsp", "tsps", "teaspoon", "teaspoons"),
  TABLESPOON(14.7868, 15, 15, "tbsp", "tbsps", "tbs", "tablespoon", "tablespoons"),
  FLUID_OUNCE_VOLUME(
      millilitres(FLUID_OUNCE),
      millilitres(FLUID_OUNCE),
      28.4131,
      "fl oz",
      "floz",
      "fluid ounce",
      "fluid ounces"),
  CUP(236.588, 250, 284.131, "c", "cup", "cups"),
  PINT(473.176, 473.176, 568.261, "pt", "pts", "pint", "pints"),
  QUART(946.353, 946.353, 1136.52, "qt", "qts", "quart", "quarts"),
  DROP(0.05, false, "drop", "drops");

  private static final Map<String, KitchenUnit> BY_WORD = byWord();

  private final boolean weight;
  private final double us;
  private final double metric;
  private final double imperial;
  private final List<String> words;

  KitchenUnit(double size, boolean weight, String... words) {
    this.weight = weight;
    this.us = size;
    this.metric = size;
    this.imperial = size;
    this.words = List.of(words);
  }

  KitchenUnit(double us, double metric, double imperial, String... words) {
    this.weight = false;
    this.us = us;
    this.metric = metric;
    this.imperial = imperial;
    this.words = List.of(words);
  }

  /** The unit that a word means, in lower case, with or without a full stop. */
  static Optional<KitchenUnit> of(String word) {
    return Optional.ofNullable(BY_WORD.get(word.toLowerCase(Locale.ROOT).replace(".", "")));
  }

  /** Whether it is a unit of weight rather than of volume. */
  boolean isWeight() {
    return weight;
  }

  /** Its size in g or ml. */
  double size(Kitchen kitchen) {
    return switch (kitchen) {
      case US -> us;
      case METRIC -> metric;
      case IMPERIAL -> imperial;
    };
  }

  private static double grams(Unit<Mass> unit) {
    return unit.getConverterTo(Units.GRAM).convert(1);
  }

  private static double millilitres(Unit<Volume> unit) {
    return unit.getConverterTo(Units.LITRE).convert(1) * 1000;
  }

  private static Map<String, KitchenUnit> byWord() {
    Map<String, KitchenUnit> map = new HashMap<>();
    Arrays.stream(values()).forEach(unit -> unit.words.forEach(word -> map.put(word, unit)));
    return Map.copyOf(map);
  }
}
