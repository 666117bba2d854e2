/**
 * The drawer: lots of herb, oil, spirit and wax on hand, and loads that dry, each with a log of its
 * own. It does not know batches; whoever charges one asks {@link velvetcrock.drawer.Drawer} to take
 * what went in.
 */
@NullMarked
package velvetcrock.drawer;

import org.jspecify.annotations.NullMarked;
