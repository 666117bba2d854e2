package velvetcrock.core.product;

import java.time.Instant;
import velvetcrock.core.Refused;

/**
 * A skin reacted.
 *
 * @param what what was seen
 */
public record SkinReacted(String tin, String what) implements ProductEvent {
  /** Checks what has to be there. */
  public SkinReacted {
    if (what == null || what.isBlank() || what.length() > 2000) {
      throw new Refused("what", "Say what was seen, in at most 2000 letters.");
    }
  }

  @Override
  public String kind() {
    return "skin-reacted";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.reacted(this);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.skinReacted(this);
  }
}
