/** Looking back: the journal of all that was written, and all that is known of a herb. */
@NullMarked
package velvetcrock.memory;

import org.jspecify.annotations.NullMarked;
