/**
 * The life of a batch: what can happen to it, from the charged jar to the last bottle, and the
 * state that follows from what did.
 *
 * <ol>
 *   <li>Each kind of entry is a file: what it holds, its checks, its stored name, its effect.
 *   <li>What else is to be said of every kind is a visitor, demanded by the compiler.
 *   <li>A jar is strained or thrown out once, and nothing is drawn beyond what is left.
 * </ol>
 *
 * <p>It must not know what is reckoned of a jar (its keeping, its yield), nor how it is stored.
 */
@NullMarked
package velvetcrock.core.batch;

import org.jspecify.annotations.NullMarked;
