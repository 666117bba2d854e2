package velvetcrock.core.log;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One line of a batch's log.
 *
 * @param id its name for ever
 * @param number its place in the order of writing, from 1
 * @param at when it happened
 * @param event what happened
 * @param replaces the entry that it corrects, if any
 */
public record Entry(UUID id, int number, Instant at, Event event, @Nullable UUID replaces) {}
