/**
 * What temperature does to an oil over time: traces of temperature and the ageing hours they are
 * worth. A trace is linear between its points. It must not know where the points came from.
 */
@NullMarked
package velvetcrock.core.heat;

import org.jspecify.annotations.NullMarked;
