/**
 * The simulated probe: a small program of its own that puts the core's thermal pot in the place of
 * a real one and sends its readings like any probe would. It must not know the application but
 * through its JSON face.
 */
@NullMarked
package velvetcrock.probe;

import org.jspecify.annotations.NullMarked;
