/**
 * The one store of all logs. It knows how entries are kept, under which keys and in which versions,
 * and when a kept state is to be folded anew; it must not know what an entry means.
 */
@NullMarked
package velvetcrock.ledger;

import org.jspecify.annotations.NullMarked;
