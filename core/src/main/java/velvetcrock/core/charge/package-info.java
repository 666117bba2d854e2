/**
 * Herb, oil and jar: how much oil a ratio asks for, what it covers, where the levels stand and the
 * ways out when it does not cover. Beds swell by 15 % where the herb is dried and not where it is
 * fresh. It must not know when the jar was filled nor what becomes of the oil.
 */
@NullMarked
package velvetcrock.core.charge;

import org.jspecify.annotations.NullMarked;
