package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * Something was left behind when the oil was poured off. Sediment and water come out of the oil
 * that was measured at straining; film never was in it.
 *
 * @param what what was left
 * @param massG how much, g
 * @param text what was typed
 * @param clearMl the clear oil, where it was measured again, ml
 */
public record Decanted(Leaving what, double massG, String text, @Nullable Double clearMl)
    implements StrainingEvent {
  /** Where the clear oil was not measured again. */
  public Decanted(Leaving what, double massG, String text) {
    this(what, massG, text, null);
  }

  /** Checks what has to be there. */
  public Decanted {
    if (clearMl != null) {
      Checks.within("clearMl", clearMl, 0.001, 200_000);
    }
    Checks.present("what", what);
    Checks.within("massG", massG, 0.001, 100_000);
    Checks.text("text", text);
  }

  @Override
  public String kind() {
    return "decanted";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.left(this);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.decanted(this);
  }
}
