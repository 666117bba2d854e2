/** Thermometers that send by themselves: paired once, then told which jar they are in. */
@NullMarked
package velvetcrock.thermometer;

import org.jspecify.annotations.NullMarked;
