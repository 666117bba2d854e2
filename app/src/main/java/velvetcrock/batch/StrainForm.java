package velvetcrock.batch;

import org.jspecify.annotations.Nullable;
import velvetcrock.web.Forms;

/**
 * A straining as typed.
 *
 * @param amount what came out, by volume or weight
 * @param second set when the marc was driven out twice
 * @param fine set when it went through a fine filter
 * @param settles set when it stands overnight
 * @param marc what the marc weighs
 * @param sure set when more than went in was measured and is meant
 * @param key names the straining
 */
record StrainForm(
    @Nullable String amount,
    @Nullable String expression,
    @Nullable String happened,
    @Nullable String bestBefore,
    @Nullable String openedOn,
    @Nullable String second,
    @Nullable String fine,
    @Nullable String settles,
    @Nullable String marc,
    @Nullable String sure,
    @Nullable String key) {
  static StrainForm empty() {
    return Forms.blank(StrainForm.class);
  }
}
