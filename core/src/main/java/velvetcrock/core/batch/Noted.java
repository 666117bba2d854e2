package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/** Something worth writing down. */
public record Noted(String text) implements RemarkEvent {
  /** Checks what has to be there. */
  public Noted {
    Checks.text("text", text);
  }

  @Override
  public String kind() {
    return "note";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {}

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.noted(this);
  }
}
