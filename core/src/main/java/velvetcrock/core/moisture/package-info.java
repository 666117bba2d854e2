/**
 * Water in herbs: how much a fresh, wilted or dried one holds, how it dries, and when a pot of
 * fresh herb has lost its water. It must not know oil or jars.
 */
@NullMarked
package velvetcrock.core.moisture;

import org.jspecify.annotations.NullMarked;
