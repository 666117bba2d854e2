/**
 * The life of a batch as a list of entries, and the state that follows from it.
 *
 * <ol>
 *   <li>Nothing is changed or taken away: an entry that replaces another takes it out of the fold.
 *   <li>Entries count in the order in which they happened; those of one instant in the order in
 *       which they were written.
 *   <li>A log that could not have happened (strained twice, drawn beyond what is left) is refused,
 *       naming the field that makes it so; whoever appends folds first and writes after.
 * </ol>
 *
 * <p>It must not know who wrote an entry nor how it is stored.
 */
@NullMarked
package velvetcrock.core.log;

import org.jspecify.annotations.NullMarked;
