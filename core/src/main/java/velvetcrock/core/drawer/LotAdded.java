package velvetcrock.core.drawer;

import java.time.Instant;
import java.util.Optional;

/**
 * It was put into the drawer.
 *
 * @param amount how much; 0 where it is still to be picked
 * @param text what was typed
 */
public record LotAdded(LotDetails details, double amount, String text) implements LotEvent {
  /** Checks the amount. */
  public LotAdded {
    LotChecks.amount(amount, 0);
  }

  @Override
  public String kind() {
    return "added";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.added(details, amount);
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> staysBecause() {
    return Optional.of("That it was put into the drawer stays in its log.");
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotAdded(this);
  }
}
