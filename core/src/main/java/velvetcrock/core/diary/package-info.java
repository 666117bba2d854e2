/**
 * Several plans in one kitchen: which appliance and which jars each has when, where they clash, and
 * the smallest shift that resolves it. It must not know how a plan came about nor how a clash is
 * worded.
 */
@NullMarked
package velvetcrock.core.diary;

import org.jspecify.annotations.NullMarked;
