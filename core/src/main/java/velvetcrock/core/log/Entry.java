package velvetcrock.core.log;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One line of a log.
 *
 * @param id its name for ever
 * @param number its place in the order of writing, from 1
 * @param at when it happened
 * @param event what happened
 * @param replaces the entry that it corrects or takes back, if any
 * @param <E> what can happen to the subject of the log
 */
public record Entry<E extends Event<?>>(
    UUID id, int number, Instant at, E event, @Nullable UUID replaces) {}
