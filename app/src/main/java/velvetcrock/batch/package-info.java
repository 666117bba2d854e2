/**
 * The batch: its log in the database, its state, and its page with tending, straining and bottling.
 * Every change goes through one door, which folds the log in the core before it writes. It must not
 * know the shelf or the cellar, which look at batches from outside.
 */
@NullMarked
package velvetcrock.batch;

import org.jspecify.annotations.NullMarked;
