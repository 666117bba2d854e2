package velvetcrock.core.drawer;

import java.time.Instant;

/** What it is was said anew. */
public record LotDescribed(LotDetails details) implements LotEvent {

  @Override
  public String kind() {
    return "described";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.described(details);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotDescribed(this);
  }
}
