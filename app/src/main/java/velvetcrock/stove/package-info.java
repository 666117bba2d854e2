/**
 * The stove: heat under watch. Readings by hand, from a logger's file, from a probe or its stand-in
 * come in here and are judged as they do; pages that look on are told. It must not know the shelf,
 * and it never writes a batch's state but through the batch's own doors.
 */
@NullMarked
package velvetcrock.stove;

import org.jspecify.annotations.NullMarked;
