package velvetcrock.batch;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.OilLooked;
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
 * @param saw what was seen of water in the oil
 * @param key names the straining
 */
record StrainForm(
    @Nullable String amount,
    @Nullable String expression,
    @Nullable String bestBefore,
    @Nullable String openedOn,
    @Nullable String second,
    @Nullable String fine,
    @Nullable String settles,
    @Nullable String marc,
    @Nullable String sure,
    @JsonUnwrapped Saw saw,
    @Nullable String key) {

  /**
   * What was seen of water in the oil.
   *
   * @param layer set where there was water or drops under it
   * @param cloudy set where it was cloudy
   * @param rising set where bubbles rose in it
   * @param nothing set where somebody looked and saw none of these
   */
  record Saw(
      @Nullable String layer,
      @Nullable String cloudy,
      @Nullable String rising,
      @Nullable String nothing) {
    /**
     * It as an entry of the log; empty where nobody looked.
     *
     * @throws Refused at {@code nothing} where both are ticked
     */
    Optional<OilLooked> looked() {
      boolean any = layer != null || cloudy != null || rising != null;
      if (any && nothing != null) {
        throw new Refused("nothing", "None of these, or one of them: not both.");
      }
      return any || nothing != null
          ? Optional.of(
              new OilLooked(
                  rising != null ? Boolean.FALSE : null,
                  null,
                  null,
                  layer != null,
                  cloudy != null,
                  false))
          : Optional.empty();
    }
  }

  static StrainForm empty() {
    return Forms.blank(StrainForm.class);
  }
}
