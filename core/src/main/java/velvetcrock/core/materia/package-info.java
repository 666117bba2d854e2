/**
 * The catalogue of things: herbs, carriers, waxes, powders, essential oils and jars, each with its
 * figures and their sources, and the ways in which a herb can stand (part, cut, state). It reads
 * commented text files, one row a thing, and refuses a row that cannot be true by its line. It must
 * not know what is done with things.
 */
@NullMarked
package velvetcrock.core.materia;

import org.jspecify.annotations.NullMarked;
