/** Logs that are only added to, of whatever has one besides batches. */
@NullMarked
package velvetcrock.ledger;

import org.jspecify.annotations.NullMarked;
