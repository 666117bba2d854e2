/**
 * All that is written, in one place to be searched: places tell it what was written about what, in
 * words, and it knows none of them.
 */
@NullMarked
package velvetcrock.journal;

import org.jspecify.annotations.NullMarked;
