/**
 * Home: the jars where they stand and the round of what wants doing. It reads what batches know and
 * derives the rest from today's date.
 */
@NullMarked
package velvetcrock.shelf;

import org.jspecify.annotations.NullMarked;
