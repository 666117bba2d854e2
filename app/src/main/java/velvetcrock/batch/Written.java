package velvetcrock.batch;

import java.time.Instant;
import java.util.UUID;

/**
 * An entry that is in the log for good.
 *
 * @param repeated whether it had been written before under the same key, and so was not again
 * @param by who wrote it first
 */
public record Written(
    UUID entryId, String code, int number, boolean repeated, String by, Instant writtenAt) {}
