package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/**
 * Vessel and all were weighed, to see how much water or spirit has left.
 *
 * @param grossG what they weigh, g
 * @param text what was typed
 */
public record PotWeighed(double grossG, String text) implements JarEvent {
  /** Checks what has to be there. */
  public PotWeighed {
    Checks.within("grossG", grossG, 0.001, 100_000);
    Checks.text("text", text);
  }

  @Override
  public String kind() {
    return "pot-weighed";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().weighed(grossG, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.potWeighed(this);
  }
}
