package velvetcrock.core.batch;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * A position of the knob.
 *
 * @param name what is written there
 * @param settlesC where the oil settles on it, °C; null where nobody knows
 * @param settleHours how long it takes to, h; null where nobody knows
 */
public record Knob(String name, @Nullable Double settlesC, @Nullable Double settleHours) {
  /** Checks what has to be there. */
  public Knob {
    Checks.text("name", name);
    if (settlesC != null) {
      Checks.within("settlesC", settlesC, -60, 400);
    }
    if (settleHours != null) {
      Checks.within("settleHours", settleHours, 0, 72);
    }
  }
}
