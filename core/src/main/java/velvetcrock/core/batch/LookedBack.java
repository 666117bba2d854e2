package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.Refused;
import velvetcrock.core.log.Checks;

/**
 * The batch was looked back on.
 *
 * @param well what went well; may be empty
 * @param nextTime what to do otherwise; may be empty
 */
public record LookedBack(String well, String nextTime) implements RemarkEvent {
  /** Checks what has to be there. */
  public LookedBack {
    Checks.text("well", well);
    Checks.text("nextTime", nextTime);
    if (well.isBlank() && nextTime.isBlank()) {
      throw new Refused("well", "Write what went well, or what to do otherwise.");
    }
  }

  @Override
  public String kind() {
    return "looked-back";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {}

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lookedBack(this);
  }
}
