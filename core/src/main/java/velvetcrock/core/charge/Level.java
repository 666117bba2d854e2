package velvetcrock.core.charge;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Lengths;
import velvetcrock.core.measure.Units;

/**
 * How high the oil is to stand, as people say it where others say an amount: {@code to the neck},
 * {@code to the shoulder}, {@code an inch above it}, {@code enough to cover}. One of the two is
 * there.
 *
 * @param share how full the jar is then, 0–1 of its brim
 * @param aboveMm how far above the herb it stands, mm
 */
public record Level(OptionalDouble share, OptionalDouble aboveMm) {
  /** How full a jar is to its parts (practice: the neck begins at the fill line). */
  private static final Map<String, Double> PLACES =
      Map.of(
          "shoulder", 0.85,
          "neck", 0.92,
          "brim", 1.0,
          "rim", 1.0,
          "top", 1.0,
          "lid", 1.0);

  private static final Pattern TO_A_PLACE =
      Pattern.compile(
          "(?:up |filled? |full |almost )*to (?:the |its )?(\\p{L}+)(?: of (?:the|a) jar)?");
  private static final Pattern ABOVE =
      Pattern.compile("(.+?) (?:above|over)(?: (?:it|them|the herbs?|the bed))?");
  private static final Pattern COVERING =
      Pattern.compile(
          "(?:enough )?(?:just )?(?:to )?cover(?:s|ed|ing)?(?: (?:it|them|the herbs?))?");

  /**
   * Reads one.
   *
   * @param own the unit of a depth without one
   * @return empty where it is no level but something else
   */
  public static Optional<Level> of(String typed, Units.Lengths own) {
    String text = typed.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    Matcher place = TO_A_PLACE.matcher(text);
    if (place.matches() && PLACES.containsKey(place.group(1))) {
      return Optional.of(
          new Level(OptionalDouble.of(PLACES.get(place.group(1))), OptionalDouble.empty()));
    }
    if (COVERING.matcher(text).matches()) {
      return Optional.of(above(ChargeOrder.USUAL_COVER_MM));
    }
    Matcher above = ABOVE.matcher(text);
    if (above.matches()) {
      try {
        return Optional.of(above(Lengths.mm(above.group(1), own.small())));
      } catch (Refused noDepth) {
        return Optional.empty();
      }
    }
    return Optional.empty();
  }

  private static Level above(double mm) {
    return new Level(OptionalDouble.empty(), OptionalDouble.of(mm));
  }
}
