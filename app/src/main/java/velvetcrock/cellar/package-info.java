/**
 * The strained oils: bottles along time by when they should be gone, drawing off and throwing out.
 */
@NullMarked
package velvetcrock.cellar;

import org.jspecify.annotations.NullMarked;
