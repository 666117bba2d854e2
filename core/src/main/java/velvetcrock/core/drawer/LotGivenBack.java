package velvetcrock.core.drawer;

import java.time.Instant;
import java.util.Optional;

/** Some that had been taken came back. */
public record LotGivenBack(double amount, String what) implements LotEvent {
  /** Checks the amount. */
  public LotGivenBack {
    LotChecks.amount(amount, LEAST);
  }

  @Override
  public String wentInto() {
    return what;
  }

  @Override
  public String kind() {
    return "given-back";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.taken(at, -amount, what);
  }

  @Override
  public Optional<String> staysBecause() {
    return Optional.of("That came back from something that was taken back there.");
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotGivenBack(this);
  }
}
