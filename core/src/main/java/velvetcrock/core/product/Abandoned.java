package velvetcrock.core.product;

import java.time.Instant;

/**
 * It came to nothing.
 *
 * @param givenBack whether the oil went back into its bottles
 */
public record Abandoned(boolean givenBack, String why) implements ProductEvent {

  @Override
  public String kind() {
    return "pot-abandoned";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.abandoned(this, at);
  }

  @Override
  public boolean givesAllBack() {
    return givenBack;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.abandoned(this);
  }
}
