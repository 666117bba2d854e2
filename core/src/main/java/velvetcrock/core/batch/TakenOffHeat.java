package velvetcrock.core.batch;

import java.time.Instant;

/** It was taken off the heat, or the heat was switched off. */
public record TakenOffHeat() implements HeatEvent {

  @Override
  public String kind() {
    return "taken-off-heat";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().takenOff(at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.takenOffHeat(this);
  }
}
