package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/**
 * What was done about it.
 *
 * @param from when that excursion began
 */
public record HeatAnswered(Instant from, HeatAnswer answer) implements HeatEvent {
  /** Checks what has to be there. */
  public HeatAnswered {
    Checks.present("from", from);
    Checks.present("answer", answer);
  }

  @Override
  public String kind() {
    return "heat-answered";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().answered(this);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.heatAnswered(this);
  }
}
