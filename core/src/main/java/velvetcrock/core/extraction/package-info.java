/**
 * How much of a herb has gone into the oil, as an estimate for comparing ways: the relative pull
 * from cut, temperature, oil, shaking and time. It must not know dates, jars or what the pull
 * costs.
 */
@NullMarked
package velvetcrock.core.extraction;

import org.jspecify.annotations.NullMarked;
