package velvetcrock.batch;

import java.util.UUID;
import velvetcrock.core.batch.BatchState;

/**
 * A batch with its state.
 *
 * @param code the code on its lid
 * @param readHours hours on the heat that readings show although nobody logged them, h; else 0
 */
public record BatchRecord(UUID id, String code, BatchState state, double readHours) {
  /** One that nobody read a temperature of. */
  public BatchRecord(UUID id, String code, BatchState state) {
    this(id, code, state, 0);
  }
}
