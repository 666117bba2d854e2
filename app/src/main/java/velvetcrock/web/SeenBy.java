package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import org.jspecify.annotations.Nullable;

/** Tells what a page shows of whoever looks at it. */
public interface SeenBy {
  /** The same for any two who are shown the same page; null where none is to be held for them. */
  @Nullable String of(HttpServletRequest request);
}
