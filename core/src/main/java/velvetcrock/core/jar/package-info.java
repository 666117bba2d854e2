/**
 * What is reckoned of a jar from its state and the catalogue: its charge and levels, what has to
 * leave it, its heat, what comes out of the cloth, how long its oil keeps. Every page, file and
 * answer asks here; none reckons for itself.
 *
 * <p>It must not know when something wants doing: that is {@code plan}.
 */
@NullMarked
package velvetcrock.core.jar;

import org.jspecify.annotations.NullMarked;
