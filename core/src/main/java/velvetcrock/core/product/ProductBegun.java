package velvetcrock.core.product;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * It was weighed into the pan.
 *
 * @param reason why a ceiling is passed; empty where none is
 */
public record ProductBegun(Intent plan, List<PartIn> parts, List<DropsIn> drops, String reason)
    implements ProductEvent {
  /** Copies the lists. */
  public ProductBegun {
    parts = ProductChecks.some(parts);
    drops = drops == null ? List.of() : List.copyOf(drops);
    reason = reason == null ? "" : reason;
  }

  @Override
  public String kind() {
    return "pot-begun";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.begun(this, at);
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> staysBecause() {
    return Optional.of("That it was begun stays in its log.");
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.productBegun(this);
  }
}
