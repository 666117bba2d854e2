/**
 * What temperature does to an oil over time: traces, what a thermometer's readings say, the ageing
 * hours they are worth, what a hand feels, how a bath empties and a melt cools. A trace is linear
 * between its points. It must not know where the points came from.
 */
@NullMarked
package velvetcrock.core.heat;

import org.jspecify.annotations.NullMarked;
