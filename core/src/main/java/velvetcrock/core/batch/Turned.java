package velvetcrock.core.batch;

import java.time.Instant;

/** Turned upside down, or the herb pressed under. */
public record Turned() implements JarEvent {

  @Override
  public String kind() {
    return "turned";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().turned(at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.turned(this);
  }
}
