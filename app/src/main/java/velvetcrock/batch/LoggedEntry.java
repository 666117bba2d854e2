package velvetcrock.batch;

import java.time.Instant;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.log.Entry;

/**
 * An entry with who wrote it and when.
 *
 * @param key names its writing
 * @param replaced whether a later entry takes it out of the state
 */
public record LoggedEntry(
    Entry<BatchEvent> entry,
    String kind,
    String by,
    Instant writtenAt,
    String key,
    boolean replaced) {}
