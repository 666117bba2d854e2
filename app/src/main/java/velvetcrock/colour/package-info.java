/**
 * Taking a jar's colour: by eye from a field of swatches, or from a picture by tapping the oil and
 * a white card. Pictures are decoded here and nowhere else, within bounds of size, time and memory;
 * only a small one without any of its metadata is kept.
 */
@NullMarked
package velvetcrock.colour;

import org.jspecify.annotations.NullMarked;
