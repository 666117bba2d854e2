package velvetcrock.kitchen;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Figures;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.measure.Units;

/**
 * A thing of one's own as it was typed.
 *
 * @param kind what it is; null where nothing was typed
 * @param like key of the shipped thing that it is like, or whose figures it replaces
 * @param name its name; empty to keep that thing's and replace its figures
 * @param figures its own figures by their names; empty ones stay as with that thing
 * @param source where the figures come from
 * @param edible {@code yes}, {@code no} or {@code unknown}
 * @param allergen one of the listed
 * @param hazards codes of the listed
 */
public record OwnTyped(
    @Nullable OwnKind kind,
    @Nullable String like,
    @Nullable String name,
    @Nullable String botanical,
    @Nullable String part,
    @Nullable Map<String, String> figures,
    @Nullable String source,
    @Nullable String edible,
    @Nullable String allergen,
    @Nullable List<String> hazards) {

  static OwnTyped empty() {
    return new OwnTyped(null, null, null, null, null, null, null, null, null, null);
  }

  /**
   * A shipped thing’s figures, or a thing of one's own of which nothing is said but those.
   *
   * @param name empty for the shipped thing itself
   */
  public static OwnTyped figures(
      OwnKind kind,
      String like,
      @Nullable String name,
      Map<String, String> figures,
      String source) {
    return new OwnTyped(kind, like, name, null, null, figures, source, null, null, null);
  }

  /** The same, of a kind. */
  OwnTyped of(OwnKind one) {
    return new OwnTyped(
        one, like, name, botanical, part, figures, source, edible, allergen, hazards);
  }

  /** The same with what was typed in a household’s degrees in °C; what is no temperature stays. */
  OwnTyped inCelsius(OwnKind of, Units.Degrees own) {
    Map<String, String> celsius = new HashMap<>(figures == null ? Map.of() : figures);
    of.figures().stream()
        .filter(figure -> figure.degrees() && !figure(figure.key()).isEmpty())
        .forEach(
            figure -> celsius.computeIfPresent(figure.key(), (key, typed) -> read(typed, own)));
    return new OwnTyped(
        kind, like, name, botanical, part, celsius, source, edible, allergen, hazards);
  }

  private static String read(String typed, Units.Degrees own) {
    try {
      return Figures.plain(Temperatures.read(typed.strip(), own).middle());
    } catch (Refused noTemperature) {
      return typed;
    }
  }

  /** What was typed for a figure; may be empty. */
  public String figure(String key) {
    return figures == null ? "" : figures.getOrDefault(key, "").strip();
  }
}
