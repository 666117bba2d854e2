package velvetcrock.core;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * What is reckoned when it is first asked for, and then known. It must follow from what does not
 * change: two who ask at once may both reckon it.
 */
public final class Once<T> implements Supplier<T> {
  private final Supplier<T> reckons;
  private @Nullable T known;

  /** Not yet known; what refuses is asked anew each time. */
  public Once(Supplier<T> reckons) {
    this.reckons = reckons;
  }

  @Override
  public T get() {
    T answer = known;
    if (answer == null) {
      answer = reckons.get();
      known = answer;
    }
    return answer;
  }
}
