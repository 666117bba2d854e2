package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/** All of it was put into another vessel. */
public record Transferred(JarIn jar) implements JarEvent {
  /** Checks what has to be there. */
  public Transferred {
    Checks.present("jar", jar);
  }

  @Override
  public String kind() {
    return "transferred";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().transferred(jar);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.transferred(this);
  }
}
