package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/**
 * Some was drawn off a bottle.
 *
 * @param bottle its letter
 * @param ml how much, ml
 * @param what what for; may be empty
 */
public record Drawn(String bottle, double ml, String text, String what) implements BottleEvent {
  /** Checks what has to be there. */
  public Drawn {
    Checks.text("bottle", bottle);
    Checks.within("ml", ml, 0, 100_000);
    Checks.text("text", text);
    Checks.text("what", what);
  }

  @Override
  public String kind() {
    return "drawn";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.bottles().drawn(this, at);
  }

  @Override
  public String movesDates(BatchState state) {
    return "drawn from: " + state.bottle(bottle).orElseThrow().store().words();
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.drawn(this);
  }
}
