/**
 * What there is: what oil on hand is enough for, and drawer and bottles a year ahead. It must not
 * know where things lie.
 */
@NullMarked
package velvetcrock.core.stock;

import org.jspecify.annotations.NullMarked;
