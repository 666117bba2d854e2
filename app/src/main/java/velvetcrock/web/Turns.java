package velvetcrock.web;

import java.util.concurrent.Semaphore;
import java.util.function.Supplier;

/** Lets so many work at once; the others wait in the order in which they came. */
public final class Turns {
  private final Semaphore turns;

  /** Of so many at once. */
  public Turns(int atOnce) {
    turns = new Semaphore(atOnce, true);
  }

  /** Does it when its turn has come. */
  public <T> T take(Supplier<T> work) {
    turns.acquireUninterruptibly();
    try {
      return work.get();
    } finally {
      turns.release();
    }
  }
}
