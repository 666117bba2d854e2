package velvetcrock.core.batch;

import java.time.Instant;

/** It stood overnight and nothing settled. */
public record StoodClear() implements StrainingEvent {

  @Override
  public String kind() {
    return "stood-clear";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.stoodClear();
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.stoodClear(this);
  }
}
