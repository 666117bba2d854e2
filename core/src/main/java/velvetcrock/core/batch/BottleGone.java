package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/** A bottle came to its end. */
public record BottleGone(String bottle, Ending reason) implements BottleEvent {
  /** Checks what has to be there. */
  public BottleGone {
    Checks.text("bottle", bottle);
    Checks.present("reason", reason);
  }

  @Override
  public String kind() {
    return "bottle-gone";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.bottles().gone(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.bottleGone(this);
  }
}
