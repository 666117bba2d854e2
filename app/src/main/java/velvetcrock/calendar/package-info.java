/**
 * What a calendar program is told: the household's own feed and single downloads, as iCalendar (RFC
 * 5545). It reads batches, bottles and plans, and must not change them.
 */
@NullMarked
package velvetcrock.calendar;

import org.jspecify.annotations.NullMarked;
