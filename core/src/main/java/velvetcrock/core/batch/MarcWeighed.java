package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/**
 * The marc was weighed after it had been expressed.
 *
 * @param massG what it weighs, g
 * @param text what was typed
 */
public record MarcWeighed(double massG, String text) implements StrainingEvent {
  /** Checks what has to be there. */
  public MarcWeighed {
    Checks.within("massG", massG, 0, 100_000);
    Checks.text("text", text);
  }

  @Override
  public String kind() {
    return "marc-weighed";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.marc(massG);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.marcWeighed(this);
  }
}
