/**
 * When to speak up: short cautions with how bad it is and where to turn, kept in a text file, and
 * small rules that choose among them from a charge, a keeping or a use. It must not judge logs or
 * dates; who looks at those asks here by code.
 */
@NullMarked
package velvetcrock.core.caution;

import org.jspecify.annotations.NullMarked;
