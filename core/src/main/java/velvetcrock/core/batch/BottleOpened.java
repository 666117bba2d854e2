package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/** It was opened for the first time. */
public record BottleOpened(String bottle) implements BottleEvent {
  /** Checks what has to be there. */
  public BottleOpened {
    Checks.text("bottle", bottle);
  }

  @Override
  public String kind() {
    return "bottle-opened";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.bottles().opened(bottle, at);
  }

  @Override
  public String movesDates(BatchState state) {
    return "opened";
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.bottleOpened(this);
  }
}
