/**
 * What a phone holds while the house is out of its reach: the pages it keeps, and what was noted on
 * it and waits. It must not know any place of the kitchen; those that have pages worth keeping say
 * so.
 */
@NullMarked
package velvetcrock.away;

import org.jspecify.annotations.NullMarked;
