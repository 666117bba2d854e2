package velvetcrock.core.product;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * It was poured.
 *
 * @param stirred whether it was stirred while it cooled
 * @param boughtMinor what one such costs in a shop, in hundredths; null if not known
 */
public record Poured(List<TinGroup> groups, boolean stirred, @Nullable Long boughtMinor)
    implements ProductEvent {
  /** Copies the list. */
  public Poured {
    groups = ProductChecks.some(groups);
  }

  @Override
  public String kind() {
    return "pot-poured";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.poured(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.poured(this);
  }
}
