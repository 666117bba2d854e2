/**
 * What is wanted and how to get there: the ways side by side, what-ifs, the plans that were decided
 * with what they have promised to themselves, and how several of them share one kitchen. It must
 * not know the bench, at which a plan is charged, nor the shelf, which tells when one is due.
 */
@NullMarked
package velvetcrock.plans;

import org.jspecify.annotations.NullMarked;
