package velvetcrock.core.drawer;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import velvetcrock.core.materia.HerbState;

/**
 * Put away as a lot: dry, or wilted on the way there.
 *
 * @param massG what it weighs then, g
 * @param waterFraction its water then, wet basis
 * @param lot the lot that it became
 * @param state dried or wilted
 */
public record PutAway(double massG, double waterFraction, UUID lot, HerbState state)
    implements DryingEvent {

  @Override
  public String kind() {
    return "put-away";
  }

  @Override
  public void applyTo(DryingLog load, Instant at) {
    load.putAway(this);
  }

  @Override
  public Optional<String> staysBecause() {
    return Optional.of("It is a lot by now. Count the lot instead.");
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.putAway(this);
  }
}
