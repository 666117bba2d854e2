/**
 * The pots: what an oil becomes, from weighing in to the last tin, and what was in it. It takes
 * from bottles and lots by entries in their logs.
 */
@NullMarked
package velvetcrock.products;

import org.jspecify.annotations.NullMarked;
