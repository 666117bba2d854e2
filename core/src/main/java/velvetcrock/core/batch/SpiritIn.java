package velvetcrock.core.batch;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * Spirit as it went in.
 *
 * @param abvPercent its strength, % vol
 * @param massG how much, g
 * @param text what was typed for it
 * @param lot the lot that it came from, if it was kept
 */
public record SpiritIn(double abvPercent, double massG, String text, @Nullable UUID lot) {
  /** Checks what has to be there. */
  public SpiritIn {
    Checks.within("abvPercent", abvPercent, 20, 100);
    Checks.within("massG", massG, 0.001, 100_000);
    Checks.text("text", text);
  }
}
