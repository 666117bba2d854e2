/**
 * When to speak up: short cautions with how bad it is and where to turn, kept in a text file, and
 * rules, in another, that choose among them from facts about what is planned and for whom. It must
 * not judge logs or dates; who looks at those asks here by code.
 */
@NullMarked
package velvetcrock.core.caution;

import org.jspecify.annotations.NullMarked;
