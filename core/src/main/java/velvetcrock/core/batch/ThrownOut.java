package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/** The whole jar was thrown out before it was strained. */
public record ThrownOut(Ending reason) implements JarEvent {
  /** Checks what has to be there. */
  public ThrownOut {
    Checks.present("reason", reason);
  }

  @Override
  public String kind() {
    return "thrown-out";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.thrownOut(reason, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.thrownOut(this);
  }
}
