package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.Range;
import velvetcrock.core.log.Checks;
import velvetcrock.core.yield.Expression;

/**
 * Strained.
 *
 * @param oilMl what came out, ml
 * @param text what was typed
 * @param predictedMl what was predicted, ml
 * @param how what else was done
 */
public record Strained(
    double oilMl, String text, Expression expression, Range predictedMl, Straining how)
    implements StrainingEvent {
  /** In one pass, and measured as it stands. */
  public Strained(double oilMl, String text, Expression expression, Range predictedMl) {
    this(oilMl, text, expression, predictedMl, Straining.PLAIN);
  }

  /** Checks what has to be there. */
  public Strained {
    how = how == null ? Straining.PLAIN : how;
    Checks.within("oilMl", oilMl, 0, 200_000);
    Checks.text("text", text);
    Checks.present("expression", expression);
    Checks.present("predictedMl", predictedMl);
  }

  @Override
  public String kind() {
    return "strained";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.strained(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.strained(this);
  }
}
