/** Trials: one charge in several jars that differ in one thing, judged side by side. */
@NullMarked
package velvetcrock.trial;

import org.jspecify.annotations.NullMarked;
