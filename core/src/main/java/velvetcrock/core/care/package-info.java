/**
 * Care: what wants doing for what stands in the house, when, how long it takes, how pressing it is,
 * and whether it may wait. Round, plans, calendar and JSON ask here; none keeps a figure of its
 * own.
 *
 * <p>It must not know households beyond their zone, nor how a task is shown.
 */
@NullMarked
package velvetcrock.core.care;

import org.jspecify.annotations.NullMarked;
