/**
 * What happened to a product, from the pan to the last tin, folded into its state, and the rules
 * that an entry has to hold. It must not know batches, only what of them went in.
 */
@NullMarked
package velvetcrock.core.product;

import org.jspecify.annotations.NullMarked;
