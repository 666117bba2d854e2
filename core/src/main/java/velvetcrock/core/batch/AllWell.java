package velvetcrock.core.batch;

import java.time.Instant;

/** All well in one go: shaken, covered, smells right. */
public record AllWell() implements JarEvent {

  @Override
  public String kind() {
    return "all-well";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().allWell(at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.allWell(this);
  }
}
