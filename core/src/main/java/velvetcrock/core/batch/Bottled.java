package velvetcrock.core.batch;

import java.time.Instant;
import java.util.List;
import velvetcrock.core.log.Checks;

/** Bottled, into one or more bottles. */
public record Bottled(List<BottleIn> bottles) implements BottleEvent {
  /** Checks that there is one and copies the list. */
  public Bottled {
    bottles = Checks.some("bottles", bottles);
  }

  @Override
  public String kind() {
    return "bottled";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.bottled(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.bottled(this);
  }
}
