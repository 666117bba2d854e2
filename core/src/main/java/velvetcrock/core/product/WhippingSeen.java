package velvetcrock.core.product;

import java.time.Instant;
import velvetcrock.core.making.Whipping;

/** A whipped butter was looked at. */
public record WhippingSeen(Whipping.Look look) implements ProductEvent {

  @Override
  public String kind() {
    return "pot-looked";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.pan().whipped(look, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.whippingSeen(this);
  }
}
