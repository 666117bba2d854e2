package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.log.Checks;

/**
 * It was put on the heat.
 *
 * @param bath the water bath that it stands in; null where there is none
 */
public record PutOnHeat(Heater heater, Knob knob, @Nullable Bath bath) implements HeatEvent {
  /** Checks what has to be there. */
  public PutOnHeat {
    Checks.present("heater", heater);
    Checks.present("knob", knob);
  }

  @Override
  public String kind() {
    return "put-on-heat";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().putOn(this, at);
  }

  @Override
  public BatchEvent in(Surroundings household) {
    Problems problems = new Problems();
    household.own(Surroundings.Belonging.HEATER, heater.key(), "heater.key", problems);
    problems.refuseIfAny();
    return this;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.putOnHeat(this);
  }
}
