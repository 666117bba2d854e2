/**
 * What every part of the core speaks in: a {@link velvetcrock.core.Range}, a {@link
 * velvetcrock.core.Reckoning} and a {@link velvetcrock.core.Refused} input. It knows no craft: no
 * herb, no oil, no unit.
 */
@NullMarked
package velvetcrock.core;

import org.jspecify.annotations.NullMarked;
