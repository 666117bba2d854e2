package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * Some that had been drawn came back.
 *
 * @param bottle the letter of its bottle; null for what was in none
 * @param ml how much, ml
 * @param what what it had been drawn for
 */
public record GivenBack(@Nullable String bottle, double ml, String what) implements BottleEvent {
  /** Checks what has to be there. */
  public GivenBack {
    Checks.within("ml", ml, 0, 100_000);
    Checks.text("what", what);
  }

  @Override
  public String kind() {
    return "given-back";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.givenBack(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.givenBack(this);
  }
}
