package velvetcrock.batch;

import java.time.LocalDate;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.keeping.Keeping;

/**
 * A bottle with its batch and its dates.
 *
 * @param bestBefore the earliest date that it may have to be gone by: the cautious end
 * @param bestBeforeLate the latest that it may be good until
 * @param decidedBy what decided the earliest
 */
public record BottleRecord(
    BatchRecord batch,
    BottleState bottle,
    LocalDate bestBefore,
    LocalDate bestBeforeLate,
    Keeping.Rule decidedBy) {
  /** The name on its label, such as {@code K7M-A}. */
  public String code() {
    return batch.code() + "-" + bottle.letter();
  }
}
