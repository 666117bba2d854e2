/**
 * What a log is, whatever it tells of: a jar, a lot, a load that dries, a product.
 *
 * <ol>
 *   <li>Nothing is changed or taken away: an entry that replaces another takes it out of the fold.
 *   <li>The beginning counts first; then entries count in the order in which they happened, those
 *       of one instant in the order in which they were written.
 *   <li>Nothing is still to come (but for clocks that differ), nothing was before the beginning,
 *       and nothing is taken back twice.
 *   <li>A log that could not have happened is refused, naming the field that makes it so; whoever
 *       appends folds first and writes after.
 * </ol>
 *
 * <p>It must not know what happened, who wrote it, nor how it is stored.
 */
@NullMarked
package velvetcrock.core.log;

import org.jspecify.annotations.NullMarked;
