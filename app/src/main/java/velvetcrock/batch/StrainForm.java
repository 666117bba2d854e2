package velvetcrock.batch;

import org.jspecify.annotations.Nullable;

/**
 * A straining as typed.
 *
 * @param amount what came out, by volume or weight
 * @param key names the straining
 */
record StrainForm(
    @Nullable String amount,
    @Nullable String expression,
    @Nullable String happened,
    @Nullable String bestBefore,
    @Nullable String openedOn,
    @Nullable String key) {
  static StrainForm empty() {
    return new StrainForm(null, null, null, null, null, null);
  }
}
