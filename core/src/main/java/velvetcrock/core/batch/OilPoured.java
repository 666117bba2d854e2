package velvetcrock.core.batch;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * The rest is over and the oil was poured on.
 *
 * @param oilMl how much, ml
 * @param text what was typed
 * @param grossG what vessel and all weigh now, g; null if it was not weighed
 */
public record OilPoured(double oilMl, String text, @Nullable Double grossG) implements JarEvent {
  /** Checks what has to be there. */
  public OilPoured {
    Checks.within("oilMl", oilMl, 0.001, 100_000);
    Checks.text("text", text);
    if (grossG != null) {
      Checks.within("grossG", grossG, 0.001, 100_000);
    }
  }

  @Override
  public String kind() {
    return "oil-poured";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().oilPoured(this, at);
  }

  @Override
  public List<FromLot> takes(BatchState state) {
    return state.charge().oil(oilMl);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.oilPoured(this);
  }
}
