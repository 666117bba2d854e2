/**
 * What the oil becomes next: salves, bars, butters and pads by hardness, how they melt, set and
 * fill tins, and how many drops of essential oil they bear. It must not know where the oil came
 * from.
 */
@NullMarked
package velvetcrock.core.making;

import org.jspecify.annotations.NullMarked;
