package velvetcrock.kitchen;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

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

  /** What was typed for a figure; may be empty. */
  public String figure(String key) {
    return figures == null ? "" : figures.getOrDefault(key, "").strip();
  }
}
