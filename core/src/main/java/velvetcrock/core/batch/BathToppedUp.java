package velvetcrock.core.batch;

import java.time.Instant;

/** The bath was filled up again. */
public record BathToppedUp() implements HeatEvent {

  @Override
  public String kind() {
    return "bath-topped-up";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().filled(at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.bathToppedUp(this);
  }
}
