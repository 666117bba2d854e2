package velvetcrock.core.batch;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.log.Checks;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;

/**
 * A herb as it went in.
 *
 * @param herb its key in the catalogue
 * @param massG g; a range where it is not known exactly
 * @param waterFraction its water, wet basis, with what clings to it from rinsing
 * @param text what was typed for it
 * @param lot the lot that it came from, if it was kept
 */
public record HerbIn(
    String herb,
    Part part,
    Cut cut,
    HerbState state,
    Range massG,
    double waterFraction,
    String text,
    @Nullable UUID lot) {
  /** From no lot. */
  public HerbIn(
      String herb,
      Part part,
      Cut cut,
      HerbState state,
      Range massG,
      double waterFraction,
      String text) {
    this(herb, part, cut, state, massG, waterFraction, text, null);
  }

  /** Checks what has to be there. */
  public HerbIn {
    Checks.present("herb", herb);
    Checks.present("part", part);
    Checks.present("cut", cut);
    Checks.present("state", state);
    Checks.present("massG", massG);
    Checks.within("massG", massG.low(), 0, 100_000);
    Checks.within("massG", massG.high(), 0.001, 100_000);
    Checks.within("waterFraction", waterFraction, 0, 0.97);
    Checks.text("text", text);
  }
}
