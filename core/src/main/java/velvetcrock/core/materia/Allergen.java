package velvetcrock.core.materia;

import java.util.Arrays;
import java.util.List;

/** What has to be named on a label because some cannot bear it. */
public enum Allergen {
  /** Almond, hazelnut, walnut and their like. */
  TREE_NUT("tree nut"),
  /** Peanut. */
  PEANUT("peanut"),
  /** Sesame. */
  SESAME("sesame"),
  /** Soya. */
  SOYA("soya"),
  /** Wheat, in the oil of its germ. */
  WHEAT("wheat"),
  /** Daisies: calendula, chamomile, yarrow, arnica and their like. */
  DAISY_FAMILY("daisy family"),
  /** Beeswax, honey, propolis, pollen. */
  BEE_PRODUCT("bee product"),
  /** Lanolin. */
  WOOL_WAX("wool wax");

  private final String words;

  Allergen(String words) {
    this.words = words;
  }

  /** Its name, as it stands in tables and on labels. */
  public String words() {
    return words;
  }

  /** All their names. */
  public static List<String> names() {
    return Arrays.stream(values()).map(Allergen::words).toList();
  }
}
