/**
 * The ways to something wanted: worked back from it, compared, and laid into a household's hours;
 * and what a charge would come to if it were drawn otherwise. It must not know what was decided.
 */
@NullMarked
package velvetcrock.core.outlook;

import org.jspecify.annotations.NullMarked;
