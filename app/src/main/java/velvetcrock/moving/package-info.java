/**
 * Moving house: a household packed into one file that others can read, and put back from it. It
 * knows the tables of all places from a list and the store itself, and nothing of what they mean.
 */
@NullMarked
package velvetcrock.moving;

import org.jspecify.annotations.NullMarked;
