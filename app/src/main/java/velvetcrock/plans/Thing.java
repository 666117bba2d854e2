package velvetcrock.plans;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.outlook.Want;
import velvetcrock.web.Formats;

/**
 * One thing that is wanted.
 *
 * @param count how many; 1 for oil
 * @param size what one holds or weighs, ml or g; a pad's side, mm
 * @param kind of product, for tins; null for anything else
 */
record Thing(Wanted what, int count, double size, @Nullable Firmness kind) {
  private static final double GAUZE_G_PER_M2 = 40;
  private static final int GAUZE_LAYERS = 4;

  /** What can be wanted. */
  enum Wanted {
    /** Tins of a product. */
    TINS("tins"),
    /** Bottles of oil. */
    BOTTLES("bottles"),
    /** Lotion bars. */
    BARS("bars"),
    /** Compress pads. */
    PADS("pads"),
    /** Oil by volume. */
    OIL_ML("oil"),
    /** Oil by weight. */
    OIL_G("oil");

    private final String words;

    Wanted(String words) {
      this.words = words;
    }

    /** Its name in plain words. */
    public String words() {
      return words;
    }
  }

  Want want() {
    return switch (what) {
      case TINS -> new Want.Tins(count, size, kind == null ? Firmness.SALVE : kind);
      case BOTTLES -> new Want.Bottles(count, size);
      case BARS -> new Want.Bars(count, size);
      case PADS -> new Want.Pads(count, size, size, GAUZE_G_PER_M2, GAUZE_LAYERS);
      case OIL_ML -> new Want.Oil(size);
      case OIL_G -> new Want.Weight(size);
    };
  }

  /** All of them as one want. */
  static Want want(List<Thing> things) {
    return new Want.Several(things.stream().map(Thing::want).toList());
  }

  /** In words: 12 tins of 30 ml salve. */
  String words(Formats fmt) {
    return switch (what) {
      case TINS ->
          pieces("tin") + " of " + fmt.ml(size) + " " + words(kind == null ? Firmness.SALVE : kind);
      case BOTTLES -> pieces("bottle") + " of " + fmt.ml(size);
      case BARS -> pieces("bar") + " of " + fmt.g(size);
      case PADS -> pieces("pad") + " of " + fmt.cm(size);
      case OIL_ML -> fmt.ml(size) + " of oil";
      case OIL_G -> fmt.g(size) + " of oil";
    };
  }

  private String pieces(String one) {
    return count + " " + one + (count == 1 ? "" : "s");
  }

  /** A kind of product in plain words. */
  static String words(Firmness kind) {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
