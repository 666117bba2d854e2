package velvetcrock.core.drawer;

import java.time.Instant;

/** Nothing: takes back the entry that it replaces. */
public record DryingStruck() implements DryingEvent {

  @Override
  public String kind() {
    return "struck";
  }

  @Override
  public void applyTo(DryingLog load, Instant at) {}

  @Override
  public boolean strikes() {
    return true;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.dryingStruck(this);
  }
}
