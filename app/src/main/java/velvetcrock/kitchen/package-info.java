/**
 * The household: its name, time zone and measures, the places where jars stand and the jars it
 * measured itself. It must not know batches.
 */
@NullMarked
package velvetcrock.kitchen;

import org.jspecify.annotations.NullMarked;
