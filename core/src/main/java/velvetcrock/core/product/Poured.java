package velvetcrock.core.product;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * It was poured.
 *
 * @param stirred whether it was stirred while it cooled
 * @param boughtMinor what one such costs in a shop, in hundredths; null if not known
 * @param kept whether what is left stays in the pan, to be poured later; else it is lost
 */
public record Poured(
    List<TinGroup> groups, boolean stirred, @Nullable Long boughtMinor, boolean kept)
    implements ProductEvent {
  /** Poured, with what is left lost in pan and cloth. */
  public Poured(List<TinGroup> groups, boolean stirred, @Nullable Long boughtMinor) {
    this(groups, stirred, boughtMinor, false);
  }

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
