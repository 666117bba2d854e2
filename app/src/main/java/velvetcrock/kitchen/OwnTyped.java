package velvetcrock.kitchen;

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
 */
public record OwnTyped(
    @Nullable OwnKind kind,
    @Nullable String like,
    @Nullable String name,
    @Nullable String botanical,
    @Nullable String part,
    @Nullable Map<String, String> figures,
    @Nullable String source) {

  static OwnTyped empty() {
    return new OwnTyped(null, null, null, null, null, null, null);
  }

  /** The same, of a kind. */
  OwnTyped of(OwnKind one) {
    return new OwnTyped(one, like, name, botanical, part, figures, source);
  }

  /** What was typed for a figure; may be empty. */
  public String figure(String key) {
    return figures == null ? "" : figures.getOrDefault(key, "").strip();
  }
}
