package velvetcrock.core.batch;

import java.time.Instant;
import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.log.Checks;

/**
 * Oil was added until the herb was covered.
 *
 * @param ml how much, ml
 * @param carrier key of the oil
 * @param text what was typed
 */
public record ToppedUp(double ml, String carrier, String text) implements JarEvent {
  /** Checks what has to be there. */
  public ToppedUp {
    Checks.within("ml", ml, 0, 100_000);
    Checks.text("carrier", carrier);
    Checks.text("text", text);
  }

  @Override
  public String kind() {
    return "topped-up";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().toppedUp(ml, at);
  }

  @Override
  public BatchEvent in(Surroundings household) {
    Problems problems = new Problems();
    household.carrier(carrier, "carrier", problems);
    problems.refuseIfAny();
    return this;
  }

  @Override
  public List<FromLot> takes(BatchState state) {
    return state.charge().carriers().stream()
        .filter(c -> c.carrier().equals(carrier) && c.lot() != null)
        .limit(1)
        .map(c -> new FromLot(c.lot(), ml))
        .toList();
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.toppedUp(this);
  }
}
