/**
 * What people type for an amount, and what it is in grams and millilitres. Reads text by a stated
 * grammar, refuses what it cannot read, and never guesses between two readings. It must not know
 * any herb or oil: turning a volume into a weight needs a density, which {@code materia} has.
 */
@NullMarked
package velvetcrock.core.measure;

import org.jspecify.annotations.NullMarked;
