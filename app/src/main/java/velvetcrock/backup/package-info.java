/**
 * What is known of the backups that {@code bin/start} makes by itself. It only reads what the
 * commands noted.
 */
@NullMarked
package velvetcrock.backup;

import org.jspecify.annotations.NullMarked;
