/**
 * Calls to phones that are closed, by the push services that an operator allows. Off until one is
 * named; see docs/decisions/064.
 */
@ApplicationModule(displayName = "Push")
@NullMarked
package velvetcrock.push;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
