/**
 * Compares what is kept for reading with what the logs say, place by place, and mends what can be
 * derived. It must not know what the places keep.
 */
@NullMarked
package velvetcrock.check;

import org.jspecify.annotations.NullMarked;
