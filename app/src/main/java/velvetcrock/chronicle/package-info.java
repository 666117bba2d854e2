/**
 * What happened here: who came in and who could not, what was let out, taken back or done away
 * with. Every place that does such a thing says it here; nothing here knows those places.
 */
@NullMarked
package velvetcrock.chronicle;

import org.jspecify.annotations.NullMarked;
