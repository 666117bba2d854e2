/**
 * What wants doing and when: the round, derived from each batch's state and today's date, and the
 * ways to something wanted by a day, compared. It must not know how a task is worded nor by whom it
 * is done.
 */
@NullMarked
package velvetcrock.core.plan;

import org.jspecify.annotations.NullMarked;
