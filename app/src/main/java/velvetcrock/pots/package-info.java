/**
 * The pots: what an oil becomes, from weighing in to the last tin, and what was in it. It takes
 * from bottles and lots by entries in their logs.
 */
@NullMarked
package velvetcrock.pots;

import org.jspecify.annotations.NullMarked;
