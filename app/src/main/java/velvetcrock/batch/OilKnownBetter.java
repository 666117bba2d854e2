package velvetcrock.batch;

import java.util.UUID;

/**
 * What is known of a batch's oil is otherwise than before, also of what had left it by then.
 *
 * @param why what is known now, in words
 */
public record OilKnownBetter(UUID batchId, String why) {}
