package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/**
 * Some of the strained oil was used that is in no bottle.
 *
 * @param ml how much, ml
 * @param what what for
 */
public record DrawnUnbottled(double ml, String text, String what) implements StrainingEvent {
  /** Checks what has to be there. */
  public DrawnUnbottled {
    Checks.within("ml", ml, 0, 100_000);
    Checks.text("text", text);
    Checks.text("what", what);
  }

  @Override
  public String kind() {
    return "drawn-unbottled";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.straining("use of it").drawn(ml, log.bottles().filledMl());
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.drawnUnbottled(this);
  }
}
