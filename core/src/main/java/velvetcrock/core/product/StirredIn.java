package velvetcrock.core.product;

import java.time.Instant;
import java.util.List;
import velvetcrock.core.Refused;

/** More was stirred in. */
public record StirredIn(List<PartIn> parts, List<DropsIn> drops, String reason)
    implements ProductEvent {
  /** Copies the lists. */
  public StirredIn {
    parts = parts == null ? List.of() : List.copyOf(parts);
    drops = drops == null ? List.of() : List.copyOf(drops);
    reason = reason == null ? "" : reason;
    if (parts.isEmpty() && drops.isEmpty()) {
      throw new Refused("amount", "Say what was added.");
    }
  }

  @Override
  public String kind() {
    return "pot-added";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.pan().stirredIn(this);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.stirredIn(this);
  }
}
