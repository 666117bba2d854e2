/**
 * What comes out of the cloth: the oil that the marc keeps and the film that vessels keep. Every
 * figure is a range until a household's own straining says better. It must not know dates or jars.
 */
@NullMarked
package velvetcrock.core.yield;

import org.jspecify.annotations.NullMarked;
