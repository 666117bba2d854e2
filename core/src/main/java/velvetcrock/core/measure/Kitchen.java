package velvetcrock.core.measure;

import java.util.Optional;

/** The kitchen measures a household means when it says cup, pint or spoon. */
public enum Kitchen {
  /** US customary cups and spoons. */
  US,
  /** The 250 ml cup, 15 ml and 5 ml spoons; pints and ounces as in the US. */
  METRIC,
  /** Imperial cups, pints and fluid ounces; metric spoons. */
  IMPERIAL;

  /** The one that a word before a unit names, such as {@code imperial} pint; in lower case. */
  static Optional<Kitchen> named(String word) {
    return switch (word) {
      case "us", "american" -> Optional.of(US);
      case "imperial", "uk", "british", "english" -> Optional.of(IMPERIAL);
      case "metric" -> Optional.of(METRIC);
      default -> Optional.empty();
    };
  }
}
