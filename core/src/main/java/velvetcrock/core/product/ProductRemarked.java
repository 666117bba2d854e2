package velvetcrock.core.product;

import java.time.Instant;
import velvetcrock.core.Refused;

/** Something worth writing down. */
public record ProductRemarked(String text) implements ProductEvent {
  /** Checks what has to be there. */
  public ProductRemarked {
    if (text == null || text.isBlank() || text.length() > 4000) {
      throw new Refused("text", "Between 1 and 4000 letters.");
    }
  }

  @Override
  public String kind() {
    return "pot-remarked";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.remarked(text);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.productRemarked(this);
  }
}
