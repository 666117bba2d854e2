package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.log.Checks;

/** The knob was turned. */
public record KnobTurned(Knob knob) implements HeatEvent {
  /** Checks what has to be there. */
  public KnobTurned {
    Checks.present("knob", knob);
  }

  @Override
  public String kind() {
    return "knob-turned";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().turned(knob, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.knobTurned(this);
  }
}
