package velvetcrock.core.batch;

import java.time.Instant;

/**
 * The resting herb was looked at.
 *
 * @param even whether it is evenly damp, without dry or dripping patches
 */
public record DampChecked(boolean even) implements JarEvent {

  @Override
  public String kind() {
    return "damp-checked";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().damp(even);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.dampChecked(this);
  }
}
