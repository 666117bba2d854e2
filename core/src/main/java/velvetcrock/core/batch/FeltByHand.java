package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.log.Checks;

/** A hand felt how warm it is. */
public record FeltByHand(Assumed.HandTest test) implements HeatEvent {
  /** Checks what has to be there. */
  public FeltByHand {
    Checks.present("test", test);
  }

  @Override
  public String kind() {
    return "felt-by-hand";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().felt(test, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.feltByHand(this);
  }
}
