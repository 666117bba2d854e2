package velvetcrock.core.drawer;

import java.time.Instant;

/** It was counted or weighed: so much there is, whatever was reckoned. */
public record LotCounted(double amount, String text) implements LotEvent {
  /** Checks the amount. */
  public LotCounted {
    LotChecks.amount(amount, 0);
  }

  @Override
  public String kind() {
    return "counted";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.counted(amount);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotCounted(this);
  }
}
