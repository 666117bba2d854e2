/**
 * The colour of an oil: from what was picked or photographed to how far it is from the plain
 * carrier and from the last look. Works on sRGB under D65 and knows nothing of pictures as files.
 */
@NullMarked
package velvetcrock.core.colour;

import org.jspecify.annotations.NullMarked;
