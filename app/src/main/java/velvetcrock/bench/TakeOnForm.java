package velvetcrock.bench;

import org.jspecify.annotations.Nullable;
import velvetcrock.web.Flat;

/**
 * What is known of a jar that was begun before, as typed.
 *
 * @param amount herb; empty if not known
 * @param herbFill how far up the jar the herb stands, as a share
 * @param oil oil; empty if not known
 * @param about by how many days the date may be wrong
 * @param dates the dates of its oil
 */
record TakeOnForm(
    @Nullable String herb,
    @Nullable String cut,
    @Nullable String amount,
    @Nullable String herbFill,
    @Nullable String carrier,
    @Nullable String oil,
    @Nullable String jar,
    @Nullable String place,
    @Nullable String chargedOn,
    @Nullable String about,
    @Flat OilDates dates,
    @Nullable String key) {

  /** The dates of its oil. */
  record OilDates(@Nullable String bestBefore, @Nullable String openedOn) {}

  static TakeOnForm empty() {
    return new TakeOnForm(
        "yarrow",
        "CUT",
        null,
        "0.66",
        "sunflower-high-oleic",
        null,
        "jar-500",
        null,
        null,
        "0",
        new TakeOnForm.OilDates(null, null),
        null);
  }
}
