/**
 * The alcohol-intermediary step: how much ethanol and water a spirit brings, what of it has to
 * leave again, and how long the dampened herb rests. It must not know jars or heat.
 */
@NullMarked
package velvetcrock.core.spirit;

import org.jspecify.annotations.NullMarked;
