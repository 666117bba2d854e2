package velvetcrock.moving;

/** How far something in the background is. */
final class Progress {
  private volatile long all;
  private volatile long done;

  void of(long rows) {
    all = rows;
    done = 0;
  }

  void step() {
    done++;
  }

  void steps(long rows) {
    done += rows;
  }

  /** How much of a hundred is done; 99 until all is. */
  int percent() {
    long whole = all;
    return whole == 0 ? 0 : (int) Math.min(99, 100 * done / whole);
  }
}
