package velvetcrock.core.batch;

import java.time.Instant;

/** Shaken. */
public record Shaken() implements JarEvent {

  @Override
  public String kind() {
    return "shaken";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().shaken(at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.shaken(this);
  }
}
