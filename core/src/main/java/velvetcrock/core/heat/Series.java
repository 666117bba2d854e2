package velvetcrock.core.heat;

import java.util.Arrays;
import java.util.List;

/**
 * Many readings held tightly: time in milliseconds since 1970, temperature in °C, in order of time.
 * Immutable to whoever holds one; growing at the end shares what is there.
 */
public final class Series {
  private static final double MILLIS_PER_HOUR = 3_600_000;
  private static final int FIRST_CAPACITY = 64;

  private final Store store;
  private final int size;

  private Series(Store store, int size) {
    this.store = store;
    this.size = size;
  }

  /** What several series of growing length share. */
  private static final class Store {
    private long[] millis;
    private float[] celsius;
    private int used;

    Store(int capacity) {
      millis = new long[capacity];
      celsius = new float[capacity];
    }

    private void put(long at, double value) {
      if (used == millis.length) {
        int larger = Math.max(FIRST_CAPACITY, used * 3 / 2);
        millis = Arrays.copyOf(millis, larger);
        celsius = Arrays.copyOf(celsius, larger);
      }
      millis[used] = at;
      celsius[used] = (float) value;
      used++;
    }
  }

  /** Collects readings. */
  public static final class Builder {
    private final Store store;

    private Builder(int capacity) {
      store = new Store(capacity);
    }

    /**
     * Adds one.
     *
     * @throws IllegalArgumentException unless it is later than the one before
     */
    public Builder add(long millis, double celsius) {
      if (store.used > 0 && millis <= store.millis[store.used - 1]) {
        throw new IllegalArgumentException("Readings go forward in time.");
      }
      store.put(millis, celsius);
      return this;
    }

    /** Adds one unless it is of the same millisecond as the one before. */
    public Builder addUnlessSame(long millis, double celsius) {
      return store.used > 0 && millis == store.millis[store.used - 1] ? this : add(millis, celsius);
    }

    /** The series of all of them. */
    public Series build() {
      return new Series(store, store.used);
    }
  }

  /** Begins a series. */
  public static Builder builder() {
    return new Builder(FIRST_CAPACITY);
  }

  /** No reading at all. */
  public static Series none() {
    return new Series(new Store(0), 0);
  }

  /** The series with one reading more, later than its last. */
  public Series with(long millis, double celsius) {
    if (size > 0 && millis <= millis(size - 1)) {
      throw new IllegalArgumentException("Readings go forward in time.");
    }
    synchronized (store) {
      if (store.used == size) {
        store.put(millis, celsius);
        return new Series(store, size + 1);
      }
    }
    Store copy = new Store(size + FIRST_CAPACITY);
    System.arraycopy(store.millis, 0, copy.millis, 0, size);
    System.arraycopy(store.celsius, 0, copy.celsius, 0, size);
    copy.used = size;
    copy.put(millis, celsius);
    return new Series(copy, size + 1);
  }

  /** The series with another's readings between its own; of the same time the first one stands. */
  public Series with(Series other) {
    if (size == 0 || other.size == 0) {
      return size == 0 ? other : this;
    }
    if (other.millis(0) > millis(size - 1)) {
      Series longer = this;
      for (int i = 0; i < other.size; i++) {
        longer = longer.with(other.millis(i), other.celsius(i));
      }
      return longer;
    }
    Builder both = new Builder(size + other.size);
    int mine = 0;
    int theirs = 0;
    while (mine < size || theirs < other.size) {
      boolean next = theirs == other.size || mine < size && millis(mine) <= other.millis(theirs);
      if (next) {
        both.addUnlessSame(millis(mine), celsius(mine));
        mine++;
      } else {
        both.addUnlessSame(other.millis(theirs), other.celsius(theirs));
        theirs++;
      }
    }
    return both.build();
  }

  /** How many there are. */
  public int size() {
    return size;
  }

  /** When reading i was taken, ms since 1970. */
  public long millis(int i) {
    return store.millis[i];
  }

  /** What reading i says, °C. */
  public double celsius(int i) {
    return store.celsius[i];
  }

  /** When reading i was taken, h since a moment. */
  public double hours(int i, long zeroMillis) {
    return (store.millis[i] - zeroMillis) / MILLIS_PER_HOUR;
  }

  /** Index of the first reading at or after a moment; the size where there is none. */
  public int from(long millis) {
    int found = Arrays.binarySearch(store.millis, 0, size, millis);
    return found >= 0 ? found : -found - 1;
  }

  /** Readings from one moment to before another as points in hours since a moment. */
  public List<Trace.Point> points(long fromMillis, long toMillis, long zeroMillis) {
    int begin = from(fromMillis);
    int end = from(toMillis);
    Trace.Point[] points = new Trace.Point[Math.max(0, end - begin)];
    for (int i = 0; i < points.length; i++) {
      points[i] = new Trace.Point(hours(begin + i, zeroMillis), celsius(begin + i));
    }
    return List.of(points);
  }

  /** Thins for drawing; see {@link Reduced}. */
  public Reduced reduced(long fromMillis, long toMillis, int columns) {
    return Reduced.of(this, fromMillis, toMillis, columns);
  }
}
