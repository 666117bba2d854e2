package velvetcrock.core.product;

import java.time.Instant;
import velvetcrock.core.Refused;

/**
 * A tin went somewhere.
 *
 * @param tin its name, such as A3
 * @param to whom it was given; empty for nobody
 */
public record TinWent(String tin, TinFate fate, String to, String remark) implements ProductEvent {
  /** Checks what has to be there. */
  public TinWent {
    if (fate == null) {
      throw new Refused("fate", "Say what became of it.");
    }
    to = ProductChecks.shortText("to", to);
    remark = ProductChecks.shortText("remark", remark);
  }

  @Override
  public String kind() {
    return "tin-went";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.went(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.tinWent(this);
  }
}
