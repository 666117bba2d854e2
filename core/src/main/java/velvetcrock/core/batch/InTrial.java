package velvetcrock.core.batch;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * What a jar is in a trial.
 *
 * @param id the trial's
 * @param words what sets it apart from the trial's other jars
 * @param aimDays the day after charging on which it is to be strained, where that is what sets it
 *     apart; else null
 */
public record InTrial(UUID id, String words, @Nullable Integer aimDays) {
  /** Checks what has to be there. */
  public InTrial {
    Checks.present("id", id);
    Checks.text("words", words);
    if (aimDays != null) {
      Checks.within("aimDays", aimDays, 1, 400);
    }
  }
}
