package velvetcrock.stove;

import java.util.UUID;

/** A batch as it is held in memory: an id is known within its household. */
record Known(UUID household, UUID batch) {}
