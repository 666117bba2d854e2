/** What is printed: the lid tag and the bottle label. Labels make no medical claim. */
@NullMarked
package velvetcrock.papers;

import org.jspecify.annotations.NullMarked;
