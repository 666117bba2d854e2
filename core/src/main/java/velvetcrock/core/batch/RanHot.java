package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * It was above its ceiling for longer than five minutes.
 *
 * @param from when it rose above it
 * @param to when it came down; null while it lasts
 * @param peakC hottest reading, °C
 * @param ceilingC the ceiling, °C
 */
public record RanHot(Instant from, @Nullable Instant to, double peakC, double ceilingC)
    implements HeatEvent {
  /** Checks what has to be there. */
  public RanHot {
    Checks.present("from", from);
    Checks.within("peakC", peakC, -60, 400);
    Checks.within("ceilingC", ceilingC, -60, 400);
  }

  @Override
  public String kind() {
    return "ran-hot";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().ranHot(this);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.ranHot(this);
  }
}
