package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What was last seen of water in an oil; null where nobody has looked.
 *
 * @param still whether no bubble rose for twenty minutes
 * @param stillAtC how warm the oil was then, °C; null where nobody knows
 * @param stillAt when that was
 * @param waterLayer whether there was water under it
 * @param cloudy whether it was cloudy
 * @param clear whether there was neither after a night
 */
public record InOil(
    @Nullable Boolean still,
    @Nullable Double stillAtC,
    @Nullable Instant stillAt,
    @Nullable Boolean waterLayer,
    @Nullable Boolean cloudy,
    @Nullable Boolean clear) {
  /** Nobody has looked. */
  public static InOil unseen() {
    return new InOil(null, null, null, null, null, null);
  }

  InOil after(OilLooked look, Instant at) {
    boolean told = look.still() != null;
    Boolean layer = look.waterLayer() == null ? waterLayer : look.waterLayer();
    Boolean haze = look.cloudy() == null ? cloudy : look.cloudy();
    boolean wet = Boolean.TRUE.equals(look.waterLayer()) || Boolean.TRUE.equals(look.cloudy());
    boolean dry =
        look.overnight()
            && Boolean.FALSE.equals(look.waterLayer())
            && Boolean.FALSE.equals(look.cloudy());
    return new InOil(
        told ? look.still() : still,
        told ? look.atC() : stillAtC,
        told ? at : stillAt,
        layer,
        haze,
        wet ? Boolean.FALSE : dry ? Boolean.TRUE : clear);
  }

  /** A night has passed and nothing settled. */
  InOil stoodClear() {
    return new InOil(still, stillAtC, stillAt, false, false, true);
  }

  /** Water was poured off: it was there, and a night has to show whether more is. */
  InOil pouredOff() {
    return new InOil(still, stillAtC, stillAt, waterLayer == null ? null : false, cloudy, false);
  }
}
