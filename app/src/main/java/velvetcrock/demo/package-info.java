/**
 * The demo household: an invented kitchen on an invented island, charged, tended and strained
 * through the same doors as anybody's, with dates reckoned from the day on which it is made.
 */
@NullMarked
package velvetcrock.demo;

import org.jspecify.annotations.NullMarked;
