package velvetcrock.core.measure;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;
import velvetcrock.core.Range;
import velvetcrock.core.measure.Measure.Kind;

/**
 * A unit that may stand behind a number, with the words for it and its size in each kitchen: g, ml,
 * mm. Pound and ounce are the international avoirdupois ones, exact by the agreement of 1959; the
 * US fluid ounce is a 128th of a gallon of 231 cubic inches, exact (NIST Handbook 44, appendix C).
 */
enum KitchenUnit {
  GRAM(1, true, "g", "gr", "grs", "gm", "gms", "grm", "grms", "gram", "grams", "gramme", "grammes"),
  KILOGRAM(
      1000,
      true,
      "kg",
      "kgs",
      "kilo",
      "kilos",
      "kilogram",
      "kilograms",
      "kilogramme",
      "kilogrammes"),
  MILLIGRAM(0.001, true, "mg", "milligram", "milligrams"),
  OUNCE_WEIGHT(28.349523125, true, "oz", "ozs", "ounce", "ounces"),
  POUND_WEIGHT(453.59237, true, "lb", "lbs", "pound", "pounds", "#"),
  MILLILITRE(
      1,
      false,
      "ml",
      "mls",
      "mil",
      "mils",
      "millilitre",
      "millilitres",
      "milliliter",
      "milliliters",
      "cc"),
  CENTILITRE(10, false, "cl", "centilitre", "centilitres", "centiliter", "centiliters"),
  DECILITRE(100, false, "dl", "decilitre", "decilitres", "deciliter", "deciliters"),
  LITRE(1000, false, "l", "lt", "ltr", "ltrs", "litre", "litres", "liter", "liters"),
  TEASPOON(
      4.92892,
      5,
      5,
      "tsp",
      "tsps",
      "ts",
      "teaspoon",
      "teaspoons",
      "teaspoonful",
      "teaspoonfuls",
      "tea spoon",
      "tea spoons"),
  TABLESPOON(
      14.7868,
      15,
      15,
      "tbsp",
      "tbsps",
      "tbs",
      "tb",
      "tbl",
      "tblsp",
      "tablespoon",
      "tablespoons",
      "tablespoonful",
      "tablespoonfuls",
      "table spoon",
      "table spoons"),
  DESSERTSPOON(
      9.85784, 10, 10, "dsp", "dessertspoon", "dessertspoons", "dessert spoon", "dessert spoons"),
  FLUID_OUNCE_VOLUME(
      29.5735295625,
      29.5735295625,
      28.4131,
      "fl oz",
      "fl ozs",
      "floz",
      "fluid oz",
      "fluid ounce",
      "fluid ounces",
      "oz fl",
      "fl ounce",
      "fl ounces"),
  CUP(236.588, 250, 284.131, "c", "cup", "cups", "cupful", "cupfuls"),
  PINT(473.176, 473.176, 568.261, "pt", "pts", "pint", "pints"),
  QUART(946.353, 946.353, 1136.52, "qt", "qts", "quart", "quarts"),
  GALLON(3785.41, 3785.41, 4546.09, "gal", "gals", "gallon", "gallons"),
  GILL(118.294, 118.294, 142.065, "gill", "gills"),
  DROP(0.05, false, "drop", "drops", "gtt"),
  PINCH(new Range(0.2, 0.5), "pinch", "pinches"),
  SMIDGE(new Range(0.1, 0.25), "smidge", "smidgen", "smidges"),
  DASH(new Range(0.4, 0.9), "dash", "dashes"),
  SPLASH(new Range(5, 15), "splash", "splashes"),
  DOLLOP(new Range(10, 30), "dollop", "dollops"),
  GLUG(new Range(15, 45), "glug", "glugs"),
  HANDFUL(new Range(60, 150), "handful", "handfuls", "handsful", "fistful", "fistfuls"),
  SPOONFUL(new Range(10, 18), "spoon", "spoons", "spoonful", "spoonfuls"),
  SCOOP(new Range(30, 70), "scoop", "scoops", "scoopful"),
  MUG(new Range(240, 350), "mug", "mugs", "mugful", "mugfuls"),
  LADLE(new Range(80, 150), "ladle", "ladles", "ladleful", "ladlefuls"),
  DROPPER(new Range(0.7, 1.2), "dropper", "droppers", "dropperful", "dropperfuls"),
  CAPFUL(new Range(4, 8), "capful", "capfuls"),
  DRIZZLE(new Range(5, 15), "drizzle"),
  SPRINKLE(new Range(0.5, 1.5), "sprinkle", "sprinkling"),
  KNOB(Kind.WEIGHT, new Range(10, 25), "knob,knobs"),
  PIECE(
      Kind.COUNT,
      1,
      "piece,pieces,stick,sticks,clove,cloves,pod,pods,leaf,leaves,sprig,sprigs,head,heads,flower,"
          + "flowers,root,roots,berry,berries,bud,buds,pepper,peppers,bulb,bulbs,bean,beans,nut,nuts,"
          + "shell,shells,hip,hips,seed,seeds,fruit,fruits,slice,slices,stalk,stalks,quill,quills,"
          + "chilli,chillies,chestnut,chestnuts,conker,conkers,corn,corns,peppercorn,peppercorns,"
          + "carrot,carrots,star,stars,rhizome,rhizomes,thumb,thumbs,bunch,bunches,flower head,"
          + "flower heads,bay leaf,bay leaves"),
  PART(Kind.PARTS, 1, "part,parts"),
  MILLIMETRE(Kind.DEPTH, 1, "mm,millimetre,millimetres,millimeter,millimeters"),
  CENTIMETRE(Kind.DEPTH, 10, "cm,centimetre,centimetres,centimeter,centimeters"),
  INCH(Kind.DEPTH, 25.4, "in,ins,inch,inches"),
  FINGER(Kind.DEPTH, new Range(15, 20), "finger,fingers");

  private static final Map<String, KitchenUnit> BY_WORD = byWord();
  private static final int SHORT = 5;

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

  KitchenUnit(Kind kind, Range size, String words) {
    this(kind, size, size, size, List.of(words.split(",")));
  }

  KitchenUnit(Kind kind, Range us, Range metric, Range imperial, List<String> words) {
    this.kind = kind;
    this.us = us;
    this.metric = metric;
    this.imperial = imperial;
    this.words = words;
  }

  /** The unit that a word or two mean, in lower case and without a full stop. */
  static Optional<KitchenUnit> of(String words) {
    return Optional.ofNullable(BY_WORD.get(words));
  }

  /** The unit of a word as it is written: a large T is a tablespoon, a small t a teaspoon. */
  static Optional<KitchenUnit> written(String word) {
    return switch (word) {
      case "T" -> Optional.of(TABLESPOON);
      case "t" -> Optional.of(TEASPOON);
      default -> of(word.toLowerCase(Locale.ROOT));
    };
  }

  /** The word of a unit that is nearest to one that is none, if any is near. */
  static Optional<String> nearest(String word) {
    for (int i = 0; i + 1 < word.length(); i++) {
      String swapped =
          word.substring(0, i) + word.charAt(i + 1) + word.charAt(i) + word.substring(i + 2);
      if (BY_WORD.containsKey(swapped)) {
        return Optional.of(swapped);
      }
    }
    int within = word.length() < SHORT ? 1 : 2;
    LevenshteinDistance distance = new LevenshteinDistance(within);
    String nearest = null;
    int least = Integer.MAX_VALUE;
    for (KitchenUnit unit : values()) {
      for (String other : unit.words) {
        // a short form is not meant by a longer word: “lot” is no litre
        boolean tooShort = other.length() < 2 || other.length() == 2 && word.length() > 2;
        int apart = tooShort ? -1 : distance.apply(word, other);
        // of two that are equally near, the one of about its length
        int by = 2 * apart + (other.length() == word.length() ? 0 : 1);
        if (apart >= 0 && by < least) {
          least = by;
          nearest = other;
        }
      }
    }
    return Optional.ofNullable(nearest);
  }

  /** Whether it is a spoon, which can be heaped. */
  boolean spoon() {
    return this == TEASPOON || this == TABLESPOON || this == DESSERTSPOON || this == SPOONFUL;
  }

  /** Whether it is a measure and no more or less of one. */
  boolean exact() {
    return us.exact();
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
