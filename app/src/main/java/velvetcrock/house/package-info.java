/**
 * How the household’s other devices come to this house: its certificate, its address, and whether a
 * phone has arrived. It must not know who lives here, nor anything that is kept here.
 */
@NullMarked
package velvetcrock.house;

import org.jspecify.annotations.NullMarked;
