package velvetcrock.core.measure;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import velvetcrock.core.Range;
import velvetcrock.core.measure.Measure.Kind;

/**
 * A unit that may stand behind a number, with the words for it and its size in each kitchen: g, ml,
 * mm. Pound and ounce are the international avoirdupois ones, exact by the agreement of 1959; the
 * US fluid ounce is a 128th of a gallon of 231 cubic inches, exact (NIST Handbook 44, appendix C).
 */
enum KitchenUnit {
  GRAM(1, true, "g", "gr", "gm", "gram", "grams", "gramme", "grammes"),
  KILOGRAM(1000, true, "kg", "kilo", "kilos", "kilogram", "kilograms"),
  MILLIGRAM(0.001, true, "mg", "milligram", "milligrams"),
  OUNCE_WEIGHT(28.349523125, true, "oz", "ounce", "ounces"),
  POUND_WEIGHT(453.59237, true, "lb", "lbs", "pound", "pounds"),
  MILLILITRE(1, false, "ml", "millilitre", "millilitres", "milliliter", "milliliters", "cc"),
  CENTILITRE(10, false, "cl", "centilitre", "centilitres", "centiliter", "centiliters"),
  DECILITRE(100, false, "dl", "decilitre", "decilitres", "deciliter", "deciliters"),
  LITRE(1000, false, "l", "litre", "litres", "liter", "liters", "ltr"),
  TEASPOON(4.92892, 5, 5, "tsp", "tsps", "teaspoon", "teaspoons"),
  TABLESPOON(14.7868, 15, 15, "tbsp", "tbsps", "tbs", "tablespoon", "tablespoons"),
  FLUID_OUNCE_VOLUME(
      29.5735295625, 29.5735295625, 28.4131, "fl oz", "floz", "fluid ounce", "fluid ounces"),
  CUP(236.588, 250, 284.131, "c", "cup", "cups"),
  PINT(473.176, 473.176, 568.261, "pt", "pts", "pint", "pints"),
  QUART(946.353, 946.353, 1136.52, "qt", "qts", "quart", "quarts"),
  DROP(0.05, false, "drop", "drops"),
  PINCH(new Range(0.2, 0.5), "pinch", "pinches"),
  SMIDGE(new Range(0.1, 0.25), "smidge", "smidgen", "smidges"),
  DASH(new Range(0.4, 0.9), "dash", "dashes"),
  SPLASH(new Range(5, 15), "splash", "splashes"),
  DOLLOP(new Range(10, 30), "dollop", "dollops"),
  GLUG(new Range(15, 45), "glug", "glugs"),
  HANDFUL(new Range(60, 150), "handful", "handfuls"),
  PIECE(
      Kind.COUNT,
      1,
      "piece,pieces,stick,sticks,clove,cloves,pod,pods,leaf,leaves,sprig,sprigs,head,heads,flower,"
          + "flowers,root,roots,berry,berries,bud,buds,pepper,peppers,bulb,bulbs,bean,beans,nut,nuts,"
          + "shell,shells,hip,hips,seed,seeds,fruit,fruits,slice,slices,stalk,stalks,quill,quills,"
          + "chilli,chillies,chestnut,chestnuts,conker,conkers,corn,corns,peppercorn,peppercorns,"
          + "carrot,carrots,star,stars"),
  MILLIMETRE(Kind.DEPTH, 1, "mm,millimetre,millimetres,millimeter,millimeters"),
  CENTIMETRE(Kind.DEPTH, 10, "cm,centimetre,centimetres,centimeter,centimeters"),
  INCH(Kind.DEPTH, 25.4, "in,inch,inches");

  private static final Map<String, KitchenUnit> BY_WORD = byWord();

  private final Kind kind;
  private final Range us;
  private final Range metric;
  private final Range imperial;
  private final List<String> words;

  KitchenUnit(double size, boolean weight, String... words) {
    this(
        weight ? Kind.WEIGHT : Kind.VOLUME,
        Range.exactly(size),
        Range.exactly(size),
        Range.exactly(size),
        List.of(words));
  }

  KitchenUnit(double us, double metric, double imperial, String... words) {
    this(
        Kind.VOLUME,
        Range.exactly(us),
        Range.exactly(metric),
        Range.exactly(imperial),
        List.of(words));
  }

  /** A vague amount, stated as the range of ml that people mean by it (practice). */
  KitchenUnit(Range ml, String... words) {
    this(Kind.VOLUME, ml, ml, ml, List.of(words));
  }

  KitchenUnit(Kind kind, double size, String words) {
    this(
        kind,
        Range.exactly(size),
        Range.exactly(size),
        Range.exactly(size),
        List.of(words.split(",")));
  }

  KitchenUnit(Kind kind, Range us, Range metric, Range imperial, List<String> words) {
    this.kind = kind;
    this.us = us;
    this.metric = metric;
    this.imperial = imperial;
    this.words = words;
  }

  /** The unit that a word means, in lower case, with or without a full stop. */
  static Optional<KitchenUnit> of(String word) {
    String lower = word.toLowerCase(Locale.ROOT);
    return Optional.ofNullable(
        BY_WORD.get(lower.indexOf('.') < 0 ? lower : lower.replace(".", "")));
  }

  /** What it counts. */
  Kind kind() {
    return kind;
  }

  /** Its size in g, ml, pieces or mm; a range for a vague one. */
  Range range(Kitchen kitchen) {
    return switch (kitchen) {
      case US -> us;
      case METRIC -> metric;
      case IMPERIAL -> imperial;
    };
  }

  /** Its usual size. */
  double size(Kitchen kitchen) {
    return range(kitchen).middle();
  }

  private static Map<String, KitchenUnit> byWord() {
    Map<String, KitchenUnit> map = new HashMap<>();
    Arrays.stream(values()).forEach(unit -> unit.words.forEach(word -> map.put(word, unit)));
    return Map.copyOf(map);
  }
}
