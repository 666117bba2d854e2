package velvetcrock.core.drawer;

import java.time.Instant;

/** Spoiled or given up. */
public record LoadThrownOut() implements DryingEvent {

  @Override
  public String kind() {
    return "thrown-out";
  }

  @Override
  public void applyTo(DryingLog load, Instant at) {
    load.thrownOut();
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.loadThrownOut(this);
  }
}
