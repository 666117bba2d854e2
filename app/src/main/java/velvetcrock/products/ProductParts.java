package velvetcrock.products;

import java.util.Locale;
import java.util.stream.Collectors;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.PartIn;
import velvetcrock.web.Typed;

/** Says what a part of a product is. */
final class ProductParts {
  /** The key of spent herb, which goes into a poultice. */
  static final String MARC = "marc";

  private ProductParts() {}

  static boolean isMarc(PartIn part) {
    return part.infused() != null && part.key().equals(MARC);
  }

  /** What a part is wherever it comes from, such as {@code wax:beeswax}. */
  static String value(PartIn part) {
    return part.kind().name().toLowerCase(Locale.ROOT) + ":" + part.key();
  }

  /**
   * The part of such a value, in a weight, from nowhere in particular.
   *
   * @throws velvetcrock.core.Refused at {@code thing} if it is none
   */
  static PartIn plain(String value, double grams) {
    String[] named = value.split(":", 2);
    PartIn.Kind kind = Typed.named(PartIn.Kind.class, named[0], "thing");
    return new PartIn(kind, named.length < 2 ? "" : named[1], null, null, grams, "", null);
  }

  /** What it measures, ml. */
  static double ml(PartIn part, Catalogue catalogue) {
    return part.massG() / part.blend(catalogue).densityAt(Carrier.ROOM_C);
  }

  /** What it takes of its lot, in the unit of the lot. */
  static double inLot(PartIn part, Catalogue catalogue) {
    return part.kind() == PartIn.Kind.CARRIER ? ml(part, catalogue) : part.massG();
  }

  /** Its name: yarrow oil K7M-A, beeswax, honey. */
  static String name(PartIn part, Catalogue catalogue) {
    PartIn.Infused infused = part.infused();
    if (infused != null) {
      String herbs =
          infused.herbs().stream()
              .map(h -> catalogue.herb(h).name())
              .collect(Collectors.joining(" and "));
      return isMarc(part)
          ? "Spent herb of " + herbs.toLowerCase(Locale.ROOT) + ", " + infused.batch()
          : herbs + " oil, " + infused.code();
    }
    return switch (part.kind()) {
      case CARRIER -> catalogue.carrier(part.key()).name();
      case WAX -> catalogue.wax(part.key()).name();
      case POWDER -> catalogue.powder(part.key()).name();
      case EXTRA -> extra(part.key());
    };
  }

  /** The name of an extra. */
  static String extra(String key) {
    return switch (key) {
      case "vitamin-e" -> "Vitamin E";
      case "aloe" -> "Aloe";
      case "juice" -> "Fresh juice";
      default -> key.substring(0, 1).toUpperCase(Locale.ROOT) + key.substring(1);
    };
  }

  /** Its colour in a drawing: that of the oil, pale for wax. */
  static String colour(PartIn part, Catalogue catalogue) {
    return switch (part.kind()) {
      case CARRIER ->
          part.blend(catalogue).shares().stream()
              .max((a, b) -> Double.compare(a.share(), b.share()))
              .map(s -> s.carrier().tint())
              .orElse("#e8da96");
      case WAX -> "#efd9a0";
      case POWDER -> "#d8d3c8";
      case EXTRA -> part.wet() ? "#b9cfdc" : "#e0c070";
    };
  }
}
