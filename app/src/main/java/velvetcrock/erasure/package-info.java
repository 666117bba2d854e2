/**
 * Takes away: everything of a household, or the name of somebody who went. It knows the tables of
 * all places and nothing of what they mean.
 */
@NullMarked
package velvetcrock.erasure;

import org.jspecify.annotations.NullMarked;
