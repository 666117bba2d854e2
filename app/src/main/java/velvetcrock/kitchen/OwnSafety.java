package velvetcrock.kitchen;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.materia.Allergen;

/**
 * What safety needs to know of a thing of one's own. It is never copied from what it is like; what
 * nobody says counts as the stricter and is told as unknown.
 *
 * @param edible {@code yes} or {@code no}; anything else is unknown
 * @param allergen what must stand on a label, {@code none} or {@link #UNKNOWN}
 * @param hazards codes of its cautions; {@link #UNKNOWN} alone where nobody knows
 */
record OwnSafety(@Nullable String edible, @Nullable String allergen, List<String> hazards) {
  static final String UNKNOWN = "unknown";
  private static final String NONE = "none";
  private static final String UNKNOWN_ALLERGEN = "unknown allergen";

  /** What can be said of an allergen, in words. */
  static final List<String> ALLERGENS =
      Stream.of(List.of(NONE), Allergen.names(), List.of(UNKNOWN)).flatMap(List::stream).toList();

  /** What can be said of it besides, by code, with its words. */
  static final Map<String, String> HAZARDS = hazardWords();

  private static Map<String, String> hazardWords() {
    Map<String, String> words = new LinkedHashMap<>();
    words.put("hot", "it burns");
    words.put("sun", "sun on treated skin");
    words.put("pregnancy-avoid", "not in pregnancy");
    words.put("salicylate", "salicylates, as in aspirin");
    words.put("pyrrolizidine", "harms the liver");
    words.put("skin-sensitising", "sensitises skin");
    words.put("resin-allergy", "resin");
    words.put("young-children-face", "not near small children’s faces");
    words.put("burns-under-bandage", "burns under a bandage");
    words.put(NONE, "none of these");
    return Collections.unmodifiableMap(words);
  }

  /** Checks what was typed, each at its field. */
  static OwnSafety of(OwnTyped typed, Problems problems) {
    String allergen = typed.allergen() == null ? UNKNOWN : typed.allergen();
    List<String> hazards = typed.hazards() == null ? List.of() : typed.hazards();
    problems.require(ALLERGENS.contains(allergen), "allergen", "Choose an allergen, or none.");
    problems.require(
        HAZARDS.keySet().containsAll(hazards), "hazards", "Choose from what is listed.");
    problems.require(
        !hazards.contains(NONE) || hazards.size() == 1,
        "hazards",
        "Either some of these, or none of these.");
    return new OwnSafety(typed.edible(), allergen, hazards);
  }

  static OwnSafety stored(
      @Nullable String edible, @Nullable String allergen, @Nullable String hazards) {
    return new OwnSafety(
        edible,
        allergen,
        hazards == null || hazards.isEmpty() ? List.of() : Arrays.asList(hazards.split(",")));
  }

  boolean eaten() {
    return "yes".equals(edible);
  }

  /** Whether something that has to be known is not. */
  boolean unknown() {
    return hazards.isEmpty()
        || allergen == null
        || allergen.equals(UNKNOWN)
        || !eaten() && !"no".equals(edible);
  }

  /** What stands on a label of an oil; empty for none. */
  String labelled() {
    if (allergen == null || allergen.equals(UNKNOWN)) {
      return UNKNOWN_ALLERGEN;
    }
    return allergen.equals(NONE) ? "" : allergen;
  }

  /** The codes that it brings by itself. */
  List<String> codes() {
    List<String> codes = new ArrayList<>(hazards);
    codes.remove(NONE);
    Optional.of(labelled())
        .filter(words -> !words.isEmpty())
        .map(words -> words.replace(' ', '-'))
        .ifPresent(codes::add);
    if (unknown()) {
      codes.add(Facts.OWN_UNKNOWN);
    }
    return codes;
  }
}
