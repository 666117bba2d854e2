/**
 * Taking a jar's colour: by eye from a field of swatches, or from a picture by tapping the oil and
 * a white card.
 */
@NullMarked
package velvetcrock.colour;

import org.jspecify.annotations.NullMarked;
