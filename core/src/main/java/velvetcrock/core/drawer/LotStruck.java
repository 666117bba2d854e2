package velvetcrock.core.drawer;

import java.time.Instant;

/** Nothing: takes back the entry that it replaces. */
public record LotStruck() implements LotEvent {

  @Override
  public String kind() {
    return "struck";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {}

  @Override
  public boolean strikes() {
    return true;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotStruck(this);
  }
}
