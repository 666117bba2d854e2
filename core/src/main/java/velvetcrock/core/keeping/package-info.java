/**
 * How long an oil keeps: from the carrier's own date, the ageing it spent while infusing, where it
 * is stored, and the caps that no reckoning may pass. Each answer names the rule that decided and
 * what would lengthen it. It must not know bottles, labels or the log.
 */
@NullMarked
package velvetcrock.core.keeping;

import org.jspecify.annotations.NullMarked;
