package velvetcrock.batch;

import java.util.UUID;
import velvetcrock.core.batch.BatchState;

/**
 * A batch with its state.
 *
 * @param code the code on its lid
 */
public record BatchRecord(UUID id, String code, BatchState state) {}
