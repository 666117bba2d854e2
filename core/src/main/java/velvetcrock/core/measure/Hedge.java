package velvetcrock.core.measure;

import java.util.List;
import java.util.Optional;

/**
 * How far from its figure an amount may be, by the words around it (practice).
 *
 * <p>Heaped and packed things go further where they are loose: a heaped spoon holds a quarter to
 * six tenths more, and what is packed weighs 1.3 to 2 times what it does loose.
 */
enum Hedge {
  /** Ten hundredths either way. */
  ABOUT(
      -0.1,
      0.1,
      "about",
      "around",
      "roughly",
      "approximately",
      "approx",
      "appr",
      "circa",
      "ca",
      "maybe",
      "perhaps",
      "probably",
      "some",
      "~",
      "or so",
      "or thereabouts",
      "more or less",
      "give or take",
      "- ish",
      "ish"),
  /** Not quite so much. */
  ALMOST(
      -0.1,
      0,
      "almost",
      "nearly",
      "not quite",
      "just under",
      "just shy of",
      "just short of",
      "a bit under",
      "a bit less than",
      "a little under",
      "a little less than",
      "slightly under",
      "slightly less than",
      "a touch under",
      "a shade under"),
  /** A little more. */
  OVER(
      0,
      0.25,
      "a little over",
      "a little more than",
      "a bit over",
      "a bit more than",
      "just over",
      "slightly over",
      "slightly more than",
      "a touch over",
      "generous",
      "good",
      "and a bit",
      "and a little",
      "plus a bit"),
  /** Above the rim. */
  HEAPED(0, 0.25, "heaped", "heaping", "rounded", "heaped up", "piled"),
  /** Scraped off below the rim. */
  SCANT(-0.15, 0, "scant", "skimpy", "shy"),
  /** As it stands. */
  LEVEL(
      0,
      0,
      "level",
      "levelled",
      "leveled",
      "exactly",
      "flat",
      "loose",
      "loosely packed",
      "loosely filled",
      "lightly packed",
      "full",
      "medium"),
  /** Pressed in. */
  PACKED(
      0,
      0,
      "packed",
      "firmly packed",
      "tightly packed",
      "well packed",
      "pressed",
      "pressed down",
      "packed down",
      "packed tight"),
  /** A small one, for what has no size of its own. */
  SMALL(-0.35, -0.05, "small", "little"),
  /** A large one. */
  LARGE(0.05, 0.5, "large", "big", "huge");

  static final double HEAPED_SPOON_LEAST = 1.25;
  static final double HEAPED_SPOON_MOST = 1.6;
  static final double PACKED_LEAST = 1.3;
  static final double PACKED_MOST = 2;

  private static final int LONGEST = 4;
  private static final java.util.Map<String, Hedge> BY_WORDS = byWords();

  private final double below;
  private final double above;
  private final List<String> words;

  Hedge(double below, double above, String... words) {
    this.below = below;
    this.above = above;
    this.words = List.of(words);
  }

  /** A hedge with how many pieces it takes. */
  record Found(Hedge hedge, int pieces) {}

  /** The longest that stands at a place. */
  static Optional<Found> at(List<Token> tokens, int at) {
    Optional<Found> found = Optional.empty();
    StringBuilder words = new StringBuilder();
    for (int i = 0; i < LONGEST && tokens.get(at + i).sort() != Token.Sort.END; i++) {
      if (i > 0) {
        words.append(' ');
      }
      words.append(tokens.get(at + i).lower());
      Hedge hedge = BY_WORDS.get(words.toString());
      if (hedge != null) {
        found = Optional.of(new Found(hedge, i + 1));
      }
    }
    return found;
  }

  /** The least of a figure that it leaves. */
  double least(double figure) {
    return figure * (1 + below);
  }

  /** The most. */
  double most(double figure) {
    return figure * (1 + above);
  }

  private static java.util.Map<String, Hedge> byWords() {
    java.util.Map<String, Hedge> map = new java.util.HashMap<>();
    for (Hedge hedge : values()) {
      hedge.words.forEach(words -> map.put(words, hedge));
    }
    return java.util.Map.copyOf(map);
  }
}
