package velvetcrock.core.product;

import java.time.Instant;

/** Nothing: takes back the entry that it replaces. */
public record ProductStruck() implements ProductEvent {

  @Override
  public String kind() {
    return "struck";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {}

  @Override
  public boolean strikes() {
    return true;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.productStruck(this);
  }
}
