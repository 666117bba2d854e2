package velvetcrock.core.drawer;

import java.time.Instant;

/** Leaf and stem were bent. */
public record Snapped(Snap snap) implements DryingEvent {

  @Override
  public String kind() {
    return "snapped";
  }

  @Override
  public void applyTo(DryingLog load, Instant at) {
    load.snapped(snap);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.snapped(this);
  }
}
