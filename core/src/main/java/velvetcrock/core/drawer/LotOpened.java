package velvetcrock.core.drawer;

import java.time.Instant;
import java.time.LocalDate;

/** It was opened. */
public record LotOpened(LocalDate on) implements LotEvent {

  @Override
  public String kind() {
    return "opened";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.opened(on);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotOpened(this);
  }
}
