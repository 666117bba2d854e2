/**
 * Planning and charging a jar, and taking on one that was begun before. It turns what was typed
 * into a charge by asking the core, and hands the charged jar to the batch. It must not keep
 * anything itself.
 */
@NullMarked
package velvetcrock.bench;

import org.jspecify.annotations.NullMarked;
