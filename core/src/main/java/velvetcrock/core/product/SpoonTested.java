package velvetcrock.core.product;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * The spoon test.
 *
 * @param harder the hardness that it wants more, ΔH; below nothing for less
 * @param hardness of what was tested
 * @param stillG what is still in the pan, g; null for all of it but the spoonful
 */
public record SpoonTested(double harder, double hardness, @Nullable Double stillG)
    implements ProductEvent {
  /** Checks the figures. */
  public SpoonTested {
    if (!(harder >= -10 && harder <= 10)) {
      throw new Refused("feel", "Between −10 and 10.");
    }
    if (stillG != null && !(stillG > 0 && stillG <= 100_000)) {
      throw new Refused("still", "More than nothing, and at most 100 kg.");
    }
    if (!(hardness >= 0 && hardness <= 300)) {
      throw new Refused("hardness", "Between 0 and 300.");
    }
  }

  @Override
  public String kind() {
    return "pot-tested";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.pan().tested(this);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.spoonTested(this);
  }
}
