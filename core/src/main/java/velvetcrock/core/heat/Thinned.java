package velvetcrock.core.heat;

/**
 * Readings of a jar that is done, thinned for keeping: of every five minutes the first, the lowest,
 * the highest and the last, and both sides of each crossing of a level that something was judged
 * by. Peaks, silences and times above the ceiling stay as they were; ageing moves by less than it
 * is known. What was thinned once stays the same when it is thinned again.
 */
public final class Thinned {
  /** A stretch of which at most four readings stay, ms. */
  static final long STRETCH_MILLIS = 5 * 60 * 1000L;

  private Thinned() {}

  /**
   * Thins.
   *
   * @param readings all that there are
   * @param levelsC what the oil was judged by: the ends of its band and its ceiling, °C
   */
  public static Series of(Series readings, double... levelsC) {
    Series.Builder kept = Series.builder();
    int begin = 0;
    while (begin < readings.size()) {
      int end = begin;
      int low = begin;
      int high = begin;
      while (end < readings.size() && stretch(readings, end) == stretch(readings, begin)) {
        low = readings.celsius(end) < readings.celsius(low) ? end : low;
        high = readings.celsius(end) > readings.celsius(high) ? end : high;
        end++;
      }
      for (int i = begin; i < end; i++) {
        boolean ofStretch = i == begin || i == low || i == high || i == end - 1;
        if (ofStretch || crosses(readings, i, levelsC) || crosses(readings, i + 1, levelsC)) {
          kept.add(readings.millis(i), readings.celsius(i));
        }
      }
      begin = end;
    }
    return kept.build();
  }

  private static long stretch(Series readings, int i) {
    return Math.floorDiv(readings.millis(i), STRETCH_MILLIS);
  }

  /** Whether a level lies between a reading and the one before it. */
  private static boolean crosses(Series readings, int i, double... levelsC) {
    if (i == 0 || i >= readings.size()) {
      return false;
    }
    for (double level : levelsC) {
      if (readings.celsius(i - 1) > level != readings.celsius(i) > level) {
        return true;
      }
    }
    return false;
  }
}
