package velvetcrock.core.batch;

import java.time.Instant;
import java.util.Optional;

/** The bath was filled up again. */
public record BathToppedUp() implements HeatEvent {

  @Override
  public String kind() {
    return "bath-topped-up";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.heat().filled(at);
  }

  @Override
  public boolean spreads() {
    return true;
  }

  @Override
  public boolean alsoHappensTo(BatchState mine, BatchState other) {
    Optional<String> bath = bath(mine);
    return bath.isPresent() && bath(other).filter(bath.get()::equalsIgnoreCase).isPresent();
  }

  /** The bath that a batch stands in now. */
  private static Optional<String> bath(BatchState state) {
    return state.heat().now().map(BatchState.Stint::bath).map(Bath::name);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.bathToppedUp(this);
  }
}
