package velvetcrock.core.drawer;

import java.time.Instant;
import java.time.LocalDate;

/** More of it was picked. */
public record LotPicked(double amount, String text, LocalDate on) implements LotEvent {
  /** Checks the amount. */
  public LotPicked {
    LotChecks.amount(amount, LEAST);
  }

  @Override
  public String kind() {
    return "picked";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.picked(on, amount);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotPicked(this);
  }
}
