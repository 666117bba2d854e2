package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * The oil was looked at for water, in the pot or after the cloth; what was not looked for is null.
 *
 * @param still whether no bubble rose for twenty minutes; false where some did
 * @param atC how warm the oil was then, °C; null where nobody knows
 * @param crisp whether the herb is crisp
 * @param waterLayer whether there is water or drops of it under the oil
 * @param cloudy whether the oil is cloudy
 * @param overnight whether it had stood for a night before
 */
public record OilLooked(
    @Nullable Boolean still,
    @Nullable Double atC,
    @Nullable Boolean crisp,
    @Nullable Boolean waterLayer,
    @Nullable Boolean cloudy,
    boolean overnight)
    implements JarEvent {
  /** Checks that something was seen. */
  public OilLooked {
    BatchLog.require(
        still != null || crisp != null || waterLayer != null || cloudy != null,
        "still",
        "Say at least one thing that you saw of the oil.");
    if (atC != null) {
      Checks.within("atC", atC, 0, 200);
    }
  }

  @Override
  public String kind() {
    return "oil-looked";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.oilLooked(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.oilLooked(this);
  }
}
