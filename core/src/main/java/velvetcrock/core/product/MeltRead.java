package velvetcrock.core.product;

import java.time.Instant;
import velvetcrock.core.Refused;

/** The melt's temperature was read. */
public record MeltRead(double celsius) implements ProductEvent {
  /** Checks the figure. */
  public MeltRead {
    if (!(celsius >= -20 && celsius <= 200)) {
      throw new Refused("celsius", "Between −20 and 200 °C.");
    }
  }

  @Override
  public String kind() {
    return "pot-read";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.pan().read(celsius, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.meltRead(this);
  }
}
