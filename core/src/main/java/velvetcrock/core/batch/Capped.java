package velvetcrock.core.batch;

import java.time.Instant;

/** The bottles that stood open to cool were capped. */
public record Capped() implements BottleEvent {

  @Override
  public String kind() {
    return "capped";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.bottles().cap();
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.capped(this);
  }
}
