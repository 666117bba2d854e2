/**
 * What whoever keeps a house for many households asks and does, on the management port alone: how
 * much there is of each, never what; and links by which one more may be founded.
 */
@NullMarked
package velvetcrock.operator;

import org.jspecify.annotations.NullMarked;
