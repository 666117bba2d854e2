package velvetcrock.cellar;

import org.jspecify.annotations.Nullable;
import velvetcrock.web.Forms;

/**
 * What was done with a bottle, as typed.
 *
 * @param kind {@code opened}, {@code checked} or {@code stood}
 * @param amount how much was drawn
 * @param what what it was drawn for
 * @param reason why it is gone
 * @param size what it holds now
 * @param key names the entry
 */
record BottleForm(
    @Nullable String kind,
    @Nullable String amount,
    @Nullable String what,
    @Nullable String reason,
    @Nullable String off,
    @Nullable String cloudy,
    @Nullable String fizzing,
    @Nullable String place,
    @Nullable String glass,
    @Nullable String size,
    @Nullable String antioxidant,
    @Nullable String key) {
  static BottleForm empty() {
    return Forms.blank(BottleForm.class);
  }
}
