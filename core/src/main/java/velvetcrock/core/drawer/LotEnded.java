package velvetcrock.core.drawer;

import java.time.Instant;

/** It is no more. */
public record LotEnded(LotEnding reason) implements LotEvent {

  @Override
  public String kind() {
    return "ended";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.ended(reason);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotEnded(this);
  }
}
