/**
 * What lies in the drawer: lots of herb, carrier, spirit and wax, and loads of herb that dry, each
 * with a list of entries and the state that follows from it.
 *
 * <ol>
 *   <li>Nothing is changed or taken away: a count that was wrong is counted again, an entry that
 *       replaces another takes it out of the fold.
 *   <li>A lot never holds less than nothing; what would take it there is refused.
 *   <li>A weighing that cannot be is questioned and never fitted.
 * </ol>
 *
 * <p>It must not know batches, except by the code under which one took something.
 */
@NullMarked
package velvetcrock.core.drawer;

import org.jspecify.annotations.NullMarked;
